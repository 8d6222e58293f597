<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    /** Runs until now were against stand-ins: rehearsals, that join nothing. */
    public function up(): void
    {
        Schema::table('join_runs', function (Blueprint $table): void {
            $table->boolean('site')->default(false);
            $table->string('hand', 80)->default('');
        });
    }

    public function down(): void
    {
        Schema::table('join_runs', fn(Blueprint $table) => $table->dropColumn(['site', 'hand']));
    }
};
