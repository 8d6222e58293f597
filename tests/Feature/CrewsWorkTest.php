<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Facts\Offcuts;
use App\Facts\Ticks;
use App\History\DeletedJobs;
use App\History\Revisions;
use App\Models\Crew;
use App\Models\Job;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** A crew's times and van are its own, and two people of a crew work on one job without losing a press. */
final class CrewsWorkTest extends TestCase
{
    use ObservatoryJob;
    use RefreshDatabase;

    private function other(Crew $crew): Job
    {
        return (new Revisions())->begin($crew, null, $this->job->newest()->plan(), 'Another');
    }

    /** @param  list<int>  $minutes */
    private static function timed(Job $job, string $kind, int $table, array $minutes): void
    {
        foreach ($minutes as $n => $taken) {
            $job->ticks()->create([
                'uuid' => (string) Str::uuid(),
                'step' => "{$kind}-run{$n}",
                'kind' => $kind,
                'done' => true,
                'table_minutes' => $table,
                'minutes' => $taken,
                'at' => '2026-11-20T09:0' . $n . ':00.000Z',
            ]);
        }
    }

    public function test_another_crews_minutes_teach_nothing(): void
    {
        self::timed($this->other($this->crew('Crew B')), 'dry', 30, [60, 60, 60, 60]);
        self::assertSame([], Ticks::productivity($this->job)->kinds);
        self::timed($this->other($this->job->crew), 'dry', 30, [45, 45, 45]);
        self::assertEqualsWithDelta(1.5, Ticks::productivity($this->job)->kinds['dry']['factor'], 1e-9);
    }

    #[Group('clock')]
    public function test_own_minutes_of_a_job_and_undone_ticks_do_not_count(): void
    {
        self::timed($this->job, 'dry', 30, [60, 60, 60, 60]);
        self::assertSame([], Ticks::productivity($this->job)->kinds, 'an estimate does not move while the job is done');
        $other = $this->other($this->job->crew);
        self::timed($other, 'dry', 30, [60, 60, 60]);
        self::assertSame(3, Ticks::productivity($this->job)->kinds['dry']['count']);
        $other->ticks()->create([
            'uuid' => (string) Str::uuid(),
            'step' => 'dry-run1',
            'kind' => 'dry',
            'done' => false,
            'table_minutes' => 30,
            'minutes' => 60,
            'at' => '2026-11-21T09:00:00.000Z',
        ]);
        self::assertSame([], Ticks::productivity($this->job)->kinds, 'two are too few');
        // Corrected later: the last press of a step is what counts.
        self::timed($this->other($this->job->crew), 'dry', 30, [30]);
        $other->ticks()->create([
            'uuid' => (string) Str::uuid(),
            'step' => 'dry-run0',
            'kind' => 'dry',
            'done' => true,
            'table_minutes' => 30,
            'minutes' => 15,
            'at' => '2026-11-22T09:00:00.000Z',
        ]);
        // 15, 60 and 30 of thirty: half, twice, once.
        self::assertEqualsWithDelta(1.0, Ticks::productivity($this->job)->kinds['dry']['factor'], 1e-9);
    }

    public function test_two_of_a_crew_tick_the_same_job(): void
    {
        $this->travelTo('2026-11-25 10:00:00');
        $tick = fn(string $step, string $at): array => $this->answer(
            $this->postJson("/jobs/{$this->job->id}/build/tick", [
                'uuid' => (string) Str::uuid(),
                'step' => $step,
                'done' => true,
                'minutes' => 12,
                'at' => $at,
            ]),
        );
        $tick('dry-cove', '2026-11-25T09:00:00.000Z');
        $this->actingAs($this->user($this->job->crew, 'two@firm.example'));
        $answer = $tick('isolate-lecture', '2026-11-25T08:30:00.000Z');
        $done = array_column(
            array_filter($answer['desk']['build']['steps'], static fn(array $s): bool => $s['done']),
            'id',
        );
        sort($done);
        self::assertSame(['dry-cove', 'isolate-lecture'], $done);
        self::assertCount(2, array_unique($this->job->ticks()->pluck('user_id')->all()));
    }

    /** The same name from the same phone is one press, in another job it is another. */
    public function test_a_press_is_one_in_its_job(): void
    {
        $this->travelTo('2026-11-25 10:00:00');
        $other = $this->other($this->job->crew);
        $press = [
            'uuid' => (string) Str::uuid(),
            'step' => 'dry-cove',
            'done' => true,
            'minutes' => 12,
            'at' => '2026-11-25T09:00:00.000Z',
        ];
        foreach ([$this->job, $this->job, $other] as $job) {
            $this->postJson("/jobs/{$job->id}/build/tick", $press)->assertOk();
        }
        self::assertSame([1, 1], [$this->job->ticks()->count(), $other->ticks()->count()]);
        // Sent again with other words it still is the first one.
        $this->postJson("/jobs/{$this->job->id}/build/tick", ['minutes' => 99] + $press)->assertOk();
        self::assertSame(12, $this->job->ticks()->first()?->minutes);
    }

    public function test_a_van_is_its_crews(): void
    {
        $this->crew('Crew B')
            ->offcuts()
            ->create(['kit' => 'strip-tunable-24', 'mm' => 4000]);
        self::assertSame([], Offcuts::for($this->job));
        $own = $this->job->crew->offcuts()->create(['kit' => 'strip-tunable-24', 'mm' => 4000]);
        $other = $this->other($this->job->crew);
        self::assertCount(1, Offcuts::for($other));
        $own->update(['kept_for' => $this->job->id]);
        self::assertSame([1, 0], [count(Offcuts::for($this->job)), count(Offcuts::for($other))]);
        $own->update(['kept_for' => null, 'left_by' => $this->job->id]);
        self::assertSame(
            [0, 1],
            [count(Offcuts::for($this->job)), count(Offcuts::for($other))],
            'what a job leaves over is for others',
        );
    }

    public function test_with_a_job_go_its_facts_but_not_the_van(): void
    {
        self::timed($this->job, 'dry', 30, [60]);
        $this->job->partMarks()->create(['part' => 'strip-tunable-24', 'state' => 'here']);
        $this->job
            ->arrangement()
            ->create(['document' => ['visits' => [], 'weekends' => false, 'pins' => [], 'waits' => []]]);
        $offcut = $this->job->crew
            ->offcuts()
            ->create(['kit' => 'strip-tunable-24', 'mm' => 4000, 'kept_for' => $this->job->id]);
        DeletedJobs::delete($this->job);
        self::assertNull($offcut->refresh()->kept_for, 'free at once');
        self::assertNotSame(0, DB::table('ticks')->count());
        $this->job->forceDelete();
        self::assertDatabaseCount('ticks', 0);
        self::assertDatabaseCount('part_marks', 0);
        self::assertDatabaseCount('arrangements', 0);
        self::assertNull($offcut->fresh()?->kept_for);
        self::assertNotNull($offcut->fresh());
    }
}
