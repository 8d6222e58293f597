<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // A practice job with inserted faults: its readings never count for the real job.
        Schema::create('bench_practices', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->unsignedInteger('seed');
            $table->json('faults');
            $table->timestamp('created_at');
        });
        // Readings, observations, fixes and remarks: facts, never changed; a repeated entry counts once.
        Schema::create('log_entries', function (Blueprint $table): void {
            $table->id();
            $table->uuid('uuid');
            $table->foreignId('job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('practice_id')->nullable()->constrained('bench_practices')->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('who', 120);
            $table->string('kind', 10);
            $table->string('place', 80);
            $table->string('command', 80);
            $table->double('value')->nullable();
            $table->string('text', 500);
            // As the plan called things when it was written.
            $table->string('words', 700);
            $table->string('by', 20);
            $table->boolean('sure');
            $table->string('at', 24);
            $table->unique(['job_id', 'uuid']);
            $table->index(['job_id', 'practice_id', 'at']);
        });
        Schema::table('ticks', function (Blueprint $table): void {
            $table->string('words', 300)->default('');
        });
    }

    public function down(): void
    {
        Schema::table('ticks', fn(Blueprint $table) => $table->dropColumn('words'));
        Schema::dropIfExists('log_entries');
        Schema::dropIfExists('bench_practices');
    }
};
