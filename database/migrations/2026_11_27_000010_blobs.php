<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    // Bytes were bound as strings and so kept as TEXT, which a dump cuts off at the first NUL. The bytes stay as they are.
    public function up(): void
    {
        foreach (['revisions' => 'document', 'photos' => 'image'] as $table => $column) {
            DB::statement("update {$table} set {$column} = cast({$column} as blob) where typeof({$column}) = 'text'");
        }
    }
};
