<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    /**
     * Finished lessons: actions and results. They belong to no job. And what a job's joining
     * needs first, ticked.
     */
    public function up(): void
    {
        Schema::create('join_needs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained()->cascadeOnDelete();
            $table->string('key', 80);
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamp('created_at');
            $table->unique(['job_id', 'key']);
        });
        Schema::create('practice_runs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('lesson', 40);
            $table->double('clock_seconds');
            $table->double('clock_since');
            $table->unsignedSmallInteger('speed');
            $table->json('log');
            $table->double('ended_at')->nullable();
            $table->json('score')->nullable();
            $table->timestamps();
            $table->index(['user_id', 'lesson']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('practice_runs');
        Schema::dropIfExists('join_needs');
    }
};
