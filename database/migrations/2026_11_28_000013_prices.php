<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    /** Stored planner answers had another format; they are calculated again on request. */
    public function up(): void
    {
        DB::table('proposals')->delete();
    }

    public function down(): void
    {
        DB::table('proposals')->delete();
    }
};
