<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The one job of a guest, and of an invitation as one. */
return new class extends Migration {
    public function up(): void
    {
        foreach (['users', 'person_links'] as $of) {
            Schema::table($of, function (Blueprint $table): void {
                $table->foreignId('job_id')->nullable()->constrained()->nullOnDelete();
            });
        }
    }

    public function down(): void
    {
        foreach (['users', 'person_links'] as $of) {
            Schema::table($of, function (Blueprint $table): void {
                $table->dropConstrainedForeignId('job_id');
            });
        }
    }
};
