<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    /**
     * Runs over devices of all families: how the crew times them, faults of the simulated devices, and each event's client id and author. Runs
     * from before speak of other steps: they can be read, not gone on with.
     */
    public function up(): void
    {
        Schema::table('join_runs', function (Blueprint $table): void {
            $table->unsignedSmallInteger('form')->default(1);
            $table->string('school', 20)->default('search');
            $table->boolean('trusts_new')->default(false);
            $table->string('flaws', 400)->default('');
            $table->text('tasks')->nullable();
        });
        Schema::table('join_events', function (Blueprint $table): void {
            $table->string('client', 40)->nullable();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->unique(['join_run_id', 'client']);
        });
    }

    public function down(): void
    {
        Schema::table('join_events', function (Blueprint $table): void {
            $table->dropUnique(['join_run_id', 'client']);
            $table->dropConstrainedForeignId('user_id');
            $table->dropColumn('client');
        });
        Schema::table(
            'join_runs',
            fn(Blueprint $table) => $table->dropColumn(['form', 'school', 'trusts_new', 'flaws', 'tasks']),
        );
    }
};
