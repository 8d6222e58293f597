<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // Sessions are files now: a page that is only read no longer takes the database's write lock.
        Schema::dropIfExists('sessions');
        Schema::table('kit_entries', function (Blueprint $table): void {
            $table->string('kind', 20)->default('');
            $table->string('name', 120)->default('');
            // Searched text: name, kind and facts in small letters.
            $table->text('search')->default('');
            $table->string('facts', 400)->default('');
            $table->index(['crew_id', 'kind']);
        });
        foreach (DB::table('kit_entries')->get(['id', 'document']) as $row) {
            DB::table('kit_entries')
                ->where('id', $row->id)
                ->update(self::columns((array) json_decode($row->document, true)));
        }
        Schema::create('photos', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('place', 40);
            $table->string('caption', 200);
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->binary('image');
            $table->timestamp('created_at');
            $table->index(['job_id', 'place']);
        });
        Schema::create('traces', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('place', 40);
            $table->string('near', 40);
            // Name, far end and cores of each leg as they were when the trace began, and every answer so far.
            $table->json('legs');
            $table->json('answers');
            $table->timestamp('recorded_at')->nullable();
            $table->timestamps();
        });
    }

    /**
     * Facts is reported once an entry is kept again; until then a search finds it by name and kind.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, string>
     */
    private static function columns(array $document): array
    {
        $kind = is_string($document['kind'] ?? null) ? $document['kind'] : '';
        $name = is_string($document['name'] ?? null) ? $document['name'] : '';

        return ['kind' => $kind, 'name' => $name, 'search' => mb_strtolower("{$name} {$kind}")];
    }

    public function down(): void
    {
        Schema::dropIfExists('traces');
        Schema::dropIfExists('photos');
        Schema::table('kit_entries', function (Blueprint $table): void {
            $table->dropIndex(['crew_id', 'kind']);
            $table->dropColumn(['kind', 'name', 'search', 'facts']);
        });
    }
};
