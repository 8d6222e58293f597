<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('join_runs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->unsignedInteger('revision');
            $table->unsignedInteger('seed');
            // The run's clock: so many run seconds at that moment, going that many times as fast as the wall's.
            $table->double('clock_seconds')->default(0);
            $table->double('clock_since');
            $table->unsignedSmallInteger('speed')->default(1);
            $table->timestamps();
        });
        Schema::create('join_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('join_run_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->double('at');
            $table->string('kind', 20);
            $table->string('device', 40);
            $table->string('text', 300);
            $table->timestamp('created_at');
            $table->unique(['join_run_id', 'number']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('join_events');
        Schema::dropIfExists('join_runs');
    }
};
