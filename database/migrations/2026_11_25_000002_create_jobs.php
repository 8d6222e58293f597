<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('crew_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->string('client');
            $table->timestamps();
        });
        Schema::create('revisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->unsignedInteger('number');
            $table->unsignedInteger('parent')->nullable();
            // What made it: the change as it was asked for, or null for a first document.
            $table->json('change')->nullable();
            $table->string('kind', 10);
            $table->unsignedInteger('restores')->nullable();
            $table->string('words');
            $table->json('touched');
            $table->binary('document');
            $table->timestamp('created_at');
            $table->unique(['job_id', 'number']);
        });
        Schema::create('kit_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('crew_id')->constrained()->cascadeOnDelete();
            $table->string('entry_id');
            $table->json('document');
            $table->timestamps();
            $table->unique(['crew_id', 'entry_id']);
        });
    }

    public function down(): void
    {
        foreach (['kit_entries', 'revisions', 'jobs'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
