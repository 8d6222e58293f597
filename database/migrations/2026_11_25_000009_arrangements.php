<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

return new class extends Migration {
    public function up(): void
    {
        // How a job is scheduled: visits, moved steps, dependencies.
        Schema::create('arrangements', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->unique()->constrained()->cascadeOnDelete();
            $table->json('document');
            $table->timestamps();
        });
        foreach (DB::table('visits')->get() as $visit) {
            DB::table('arrangements')->insert([
                'job_id' => $visit->job_id,
                'created_at' => now(),
                'updated_at' => now(),
                'document' => json_encode([
                    'visits' => [['from' => $visit->start, 'days' => 0, 'people' => $visit->people]],
                    'weekends' => false,
                    'pins' => [],
                    'waits' => [],
                ]),
            ]);
        }
        Schema::drop('visits');

        // Each press on a tick is its own fact, with a name that the phone gave it: one that comes twice is one.
        Schema::rename('ticks', 'old_ticks');
        Schema::create('ticks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->uuid('uuid');
            $table->string('step', 60);
            $table->string('kind', 20);
            $table->boolean('done');
            $table->unsignedInteger('table_minutes');
            $table->unsignedInteger('minutes');
            $table->string('at', 24);
            $table->timestamps();
            $table->unique(['job_id', 'uuid']);
            $table->index(['job_id', 'step', 'at']);
        });
        foreach (DB::table('old_ticks')->get() as $tick) {
            DB::table('ticks')->insert([
                'job_id' => $tick->job_id,
                'user_id' => $tick->user_id,
                'uuid' => (string) Str::uuid(),
                'step' => $tick->step,
                'kind' => Str::before($tick->step, '-'),
                'done' => true,
                'table_minutes' => 0,
                'minutes' => $tick->minutes,
                'at' => Str::replace(' ', 'T', (string) $tick->created_at) . '.000Z',
                'created_at' => $tick->created_at,
                'updated_at' => $tick->updated_at,
            ]);
        }
        Schema::drop('old_ticks');

        // Offcuts of reels and lengths in the van.
        Schema::create('offcuts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('crew_id')->constrained()->cascadeOnDelete();
            $table->string('kit', 40);
            $table->unsignedInteger('mm');
            $table->foreignId('kept_for')->nullable()->constrained('jobs')->nullOnDelete();
            $table->foreignId('left_by')->nullable()->constrained('jobs')->nullOnDelete();
            $table->timestamps();
            $table->index(['crew_id', 'kit']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('offcuts');
        Schema::dropIfExists('ticks');
        Schema::dropIfExists('arrangements');
    }
};
