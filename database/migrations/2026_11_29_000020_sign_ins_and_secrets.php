<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // Sign-ins that were ended: a request that was still running may write its session back afterwards.
        Schema::create('ended_sign_ins', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->timestamp('ended_at')->index();
        });
        // Links made before have none: their signed addresses stay good until they expire.
        Schema::table('client_links', function (Blueprint $table): void {
            $table->string('secret', 64)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('client_links', fn(Blueprint $table) => $table->dropColumn('secret'));
        Schema::dropIfExists('ended_sign_ins');
    }
};
