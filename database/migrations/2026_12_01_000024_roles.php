<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Roles of people, links by which they come in or choose a new password, and the devices on which they are signed in. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->string('role', 20)->default('installer');
        });
        // Someone must be able to invite: the first of each crew who has not left.
        foreach (
            DB::table('users')->whereNull('closed_at')->groupBy('crew_id')->selectRaw('min(id) as id')->pluck('id')
            as $id
        ) {
            DB::table('users')
                ->where('id', $id)
                ->update(['role' => 'owner']);
        }
        Schema::create('person_links', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('crew_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('made_by')->nullable()->constrained('users')->nullOnDelete();
            $table->string('role', 20)->nullable();
            $table->string('secret', 64);
            $table->timestamp('expires_at');
            $table->timestamp('used_at')->nullable();
            $table->timestamp('created_at');
        });
        Schema::create('sign_ins', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('device', 120);
            $table->timestamp('began_at');
            $table->date('seen_on');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('sign_ins');
        Schema::dropIfExists('person_links');
        Schema::table('users', function (Blueprint $table): void {
            $table->dropColumn('role');
        });
    }
};
