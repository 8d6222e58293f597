<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('proposals', function (Blueprint $table): void {
            // A choice that the planner keeps to; null where it is free.
            $table->string('wish', 120)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('proposals', fn(Blueprint $table) => $table->dropColumn('wish'));
    }
};
