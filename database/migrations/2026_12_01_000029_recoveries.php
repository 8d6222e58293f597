<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('join_runs', function (Blueprint $table): void {
            // Key of the loss or replacement after which devices are joined again; empty for the first join.
            $table->string('recovery', 60)->default('');
            // Panels that were on their walls when the run began.
            $table->json('fixed')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('join_runs', fn(Blueprint $table) => $table->dropColumn(['recovery', 'fixed']));
    }
};
