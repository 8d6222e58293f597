<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    /** Answers of the planner were told in another form; they are calculated anew when they are asked for. */
    public function up(): void
    {
        DB::table('proposals')->delete();
    }

    public function down(): void
    {
        DB::table('proposals')->delete();
    }
};
