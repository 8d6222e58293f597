<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // How far each part of a job is: facts, so no part of the plan and never undone.
        Schema::create('part_marks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('part', 40);
            $table->string('state', 10);
            $table->string('arrives', 10)->nullable();
            $table->timestamps();
            $table->unique(['job_id', 'part']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('part_marks');
    }
};
