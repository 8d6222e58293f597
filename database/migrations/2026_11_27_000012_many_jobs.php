<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('jobs', static function (Blueprint $table): void {
            $table->timestamp('archived_at')->nullable();
            // Hashes of the kit that the newest plan holds, by shelf id: a copy, so that the shelf need not open every job.
            $table->json('kit')->default('{}');
            $table->index(['crew_id', 'archived_at', 'updated_at']);
        });
        Schema::table('crews', static function (Blueprint $table): void {
            // Goes up with every change of the shelf.
            $table->unsignedInteger('shelf_version')->default(0);
        });
        foreach (DB::table('jobs')->orderBy('id')->pluck('id') as $job) {
            $document = DB::table('revisions')->where('job_id', $job)->orderByDesc('number')->value('document');
            $plan = json_decode((string) @gzuncompress((string) $document), true);
            DB::table('jobs')
                ->where('id', $job)
                ->update(['kit' => json_encode((object) array_column($plan['kit'] ?? [], 'hash', 'id'))]);
        }
    }

    public function down(): void
    {
        Schema::table('jobs', static function (Blueprint $table): void {
            $table->dropIndex(['crew_id', 'archived_at', 'updated_at']);
            $table->dropColumn(['archived_at', 'kit']);
        });
        Schema::table('crews', static fn(Blueprint $table) => $table->dropColumn('shelf_version'));
    }
};
