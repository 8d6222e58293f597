<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    /** What is written down at hand-over: versions of apps and firmware, where settings are backed up, lessons given; and a crew's notes per piece of kit. */
    public function up(): void
    {
        Schema::create('left_facts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('kind', 10);
            $table->string('about', 80);
            $table->string('says', 200)->default('');
            $table->string('day', 10);
            $table->timestamp('created_at');
        });
        Schema::create('kit_notes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('crew_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('entry', 80)->index();
            $table->string('says', 400);
            $table->string('day', 10);
            $table->timestamp('created_at');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('kit_notes');
        Schema::dropIfExists('left_facts');
    }
};
