<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A deleted job can be brought back for a while. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('jobs', function (Blueprint $table): void {
            $table->timestamp('deleted_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('jobs', function (Blueprint $table): void {
            $table->dropColumn('deleted_at');
        });
    }
};
