<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('visits', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->unique()->constrained()->cascadeOnDelete();
            $table->unsignedTinyInteger('people');
            $table->string('start', 10);
            $table->timestamps();
        });
        // Steps that are done: facts, never undone by the plan's undo; a tick that comes twice is one.
        Schema::create('ticks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('step', 60);
            $table->unsignedSmallInteger('minutes');
            $table->timestamps();
            $table->unique(['job_id', 'step']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('ticks');
        Schema::dropIfExists('visits');
    }
};
