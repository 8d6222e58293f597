<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\History\Revisions;
use App\Models\Crew;
use App\Models\Job;
use App\Results\ResultStore;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Invariants;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use Illuminate\Cache\FileStore;
use Illuminate\Cache\Repository;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use Tests\TestCase;

/** A crew with many jobs, a job with many runs. Times are bin/bench's. */
final class ManyJobsTest extends TestCase
{
    use RefreshDatabase;

    private Crew $crew;

    protected function setUp(): void
    {
        parent::setUp();
        $this->crew = $this->crew();
        $this->actingAs($this->user($this->crew));
    }

    /** @return array<string, mixed> */
    private function home(string $query = ''): array
    {
        $props = [];
        $this->get("/?{$query}")->assertInertia(function (AssertableInertia $page) use (&$props): void {
            $props = (array) $page->toArray()['props'];
        });

        return $props;
    }

    private function begin(string $name, string $client = ''): Job
    {
        return (new Revisions())->begin($this->crew, null, new Plan($name, $client), 'Begun');
    }

    public function test_the_list_comes_by_pages_and_is_searched(): void
    {
        $this->travelTo('2026-12-01 09:00:00');
        for ($n = 1; $n <= 60; $n++) {
            $this->travel(1)->seconds();
            $this->begin("Job {$n}", $n % 2 === 0 ? 'Even & 100%' : 'Odd');
        }
        $home = $this->home();
        self::assertSame([60, 1, 3, 25], [$home['total'], $home['page'], $home['pages'], count($home['jobs'])]);
        self::assertSame(['Job 60', 'Job 36'], [$home['jobs'][0]['name'], $home['jobs'][24]['name']]);
        self::assertSame(
            ['Job 10', 'Job 1'],
            [$this->home('page=3')['jobs'][0]['name'], $this->home('page=3')['jobs'][9]['name']],
        );
        self::assertSame(3, $this->home('page=99')['page'], 'beyond the last is the last');
        self::assertSame(30, $this->home('find=even')['total']);
        self::assertSame(30, $this->home('find=' . urlencode('100%'))['total']);
        self::assertSame(0, $this->home('find=' . urlencode('1_0%'))['total'], 'signs mean themselves');
        self::assertSame(['Job 42'], array_column($this->home('find=even+42')['jobs'], 'name'));
        $this->begin('Elsewhere');
        Job::query()
            ->where('name', 'Elsewhere')
            ->update(['crew_id' => $this->crew('Crew B')->id]);
        self::assertSame(0, $this->home('find=Elsewhere')['total'], 'another crew’s is not found');
    }

    public function test_a_job_goes_into_the_archive_comes_back_and_is_deleted_by_name_only(): void
    {
        $job = $this->begin('Old hall', 'Trust');
        $other = $this->begin('New hall');
        $this->deleteJson("/jobs/{$job->id}", ['name' => 'Old hall'])
            ->assertStatus(422)
            ->assertJsonPath('message', 'Archive the job first. Nothing was deleted.');
        $this->postJson("/jobs/{$job->id}/archive")->assertOk();
        self::assertSame(['New hall'], array_column($this->home()['jobs'], 'name'));
        self::assertSame(1, $this->home()['aside']);
        self::assertSame(['Old hall'], array_column($this->home('archived=1')['jobs'], 'name'));
        $this->get("/jobs/{$job->id}/survey")->assertOk();
        $this->postJson("/jobs/{$job->id}/back")->assertOk();
        self::assertSame(2, $this->home()['total']);
        $this->postJson("/jobs/{$job->id}/archive")->assertOk();
        foreach (['', 'old hall', 'New hall', ['Old hall']] as $wrong) {
            $this->deleteJson("/jobs/{$job->id}", ['name' => $wrong])
                ->assertStatus(422)
                ->assertJsonPath('message', 'Type the job’s name exactly. Nothing was deleted.');
        }
        $this->deleteJson("/jobs/{$job->id}", ['name' => 'Old hall'])->assertOk();
        self::assertSame([$other->id], Job::query()->pluck('id')->all());
        $this->deleteJson("/jobs/{$job->id}", ['name' => 'Old hall'])->assertNotFound();
    }

    public function test_a_summary_is_what_the_job_says_and_follows_everything_that_it_is_made_of(): void
    {
        $this->travelTo('2026-12-01 09:10:00');
        $job = $this->job($this->crew);
        $summary = fn(): array => $this->answer($this->getJson("/jobs/{$job->id}/summary"), 'jobSummary');
        $known = fn(): mixed => $this->home()['jobs'][0]['summary'];
        $desk = fn(): array => $this->answer($this->getJson("/jobs/{$job->id}/state?stage=wire"))['desk'];
        $moves = [
            'a change' => fn() => $this->postJson("/jobs/{$job->id}/change", [
                'base' => 1,
                'stage' => 'wire',
                'change' => ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'],
            ]),
            'a part' => fn() => $this->postJson("/jobs/{$job->id}/parts", [
                'part' => 'supply-24-240',
                'state' => 'ordered',
                'arrives' => '2026-12-09',
            ]),
            'another day for it' => fn() => $this->postJson("/jobs/{$job->id}/parts", [
                'part' => 'supply-24-240',
                'state' => 'ordered',
                'arrives' => '2026-12-10',
            ]),
            'a visit' => fn() => $this->postJson("/jobs/{$job->id}/build/visits", [
                'visits' => [['from' => '2026-12-14', 'days' => 1, 'people' => 2]],
                'weekends' => false,
            ]),
            'a tick' => fn() => $this->postJson("/jobs/{$job->id}/build/tick", [
                'uuid' => '6f1c2b1e-9a51-4c7e-8f7f-0a6a3f6d2b11',
                'step' => 'isolate-lecture',
                'done' => true,
                'minutes' => 4,
                'at' => '2026-12-01T09:10:00.000Z',
            ]),
            'an offcut' => fn() => $this->postJson("/jobs/{$job->id}/offcuts", [
                'kit' => 'strip-tunable-24',
                'metres' => 4,
                'count' => 1,
            ]),
            'the shelf' => fn() => $this->deleteJson('/shelf/entries/strip-tunable-24'),
            'the next day' => fn() => $this->travel(1)->days(),
        ];
        foreach (['' => null] + $moves as $what => $move) {
            $answer = $move === null ? null : $move();
            if ($answer instanceof \Illuminate\Testing\TestResponse) {
                $answer->assertOk();
            }
            self::assertNull($known(), "after {$what} it is recalculated");
            $said = $summary();
            self::assertSame(
                [$desk()['stages'], $desk()['findings'][0]['title'] ?? null],
                [$said['stages'], $said['next']['title'] ?? null],
                $what,
            );
            self::assertSame($said, $known());
        }
    }

    public function test_a_changed_entry_lists_jobs_with_an_older_copy_without_calculating(): void
    {
        $jobs = [$this->job($this->crew), $this->job($this->crew), $this->job($this->crew)];
        $this->postJson("/jobs/{$jobs[1]->id}/archive")->assertOk();
        foreach ([0, 2] as $n) {
            $this->postJson("/jobs/{$jobs[$n]->id}/change", [
                'base' => 1,
                'stage' => 'kit',
                'change' => ['kind' => 'RefreshKit', 'kit' => 'controller-zigbee-2'],
            ])->assertOk();
        }
        $entry = fn(): array => $this->answer($this->getJson('/shelf/entries/controller-zigbee-2'), 'entryAnswer');
        self::assertSame(
            [2, [false, false]],
            [$entry()['uses']['total'], array_column($entry()['uses']['jobs'], 'moved')],
        );
        $cells = $entry()['cells'];
        $solved = 0;
        DB::listen(static function ($query) use (&$solved): void {
            $solved +=
                (int) str_contains($query->sql, '"document" from "revisions"') +
                (int) preg_match('/select \* from "revisions"/', $query->sql);
        });
        $kept = $this->answer(
            $this->postJson('/shelf/entries', ['cells' => ['price' => '99'] + $cells]),
            'entryAnswer',
        );
        self::assertSame([true, true], array_column($kept['uses']['jobs'], 'moved'));
        self::assertSame(0, $solved, 'no job was opened for it');
    }

    public function test_a_job_has_a_largest_number_of_runs(): void
    {
        $most = Invariants::MOST_RUNS;
        $notes = static fn(int $runs): string => "start door\n" .
            implode(
                "\n",
                array_map(
                    static fn(int $n): string => ($n % 2 === 0 ? 'right ' : 'left ') . "1.20 r{$n}",
                    range(1, $runs),
                ),
            );
        $job = (new Revisions())->begin(
            $this->crew,
            null,
            Catalogue::read(['kind' => 'AddPlace', 'name' => 'Hall'], Demo::shelf())->apply(new Plan('Hotel', '')),
            'Begun',
        );
        $place = (string) array_key_first($job->newest()->plan()->places);
        $this->postJson("/jobs/{$job->id}/change", [
            'base' => 1,
            'stage' => 'survey',
            'change' => ['kind' => 'ReviseNotes', 'place' => $place, 'text' => $notes($most)],
        ])->assertOk();
        $refused = $this->postJson("/jobs/{$job->id}/change", [
            'base' => 2,
            'stage' => 'survey',
            'change' => ['kind' => 'ReviseNotes', 'place' => $place, 'text' => $notes($most + 1)],
        ])->assertStatus(422);
        self::assertSame(
            "A job has at most {$most} runs; with these it would have " . ($most + 1) . '. Part it into two jobs.',
            $refused->json('message'),
        );
        // Kit lists the shelf entries of the selected run, and the chosen kit of the others.
        $kit = $this->answer($this->getJson("/jobs/{$job->id}/state?stage=kit&open=r7"))['desk']['kit'];
        self::assertSame('r7', $kit['inHand']);
        self::assertCount($most, $kit['runs']);
        $told = array_filter($kit['runs'], static fn(array $run): bool => $run['slots'][0]['options'] !== []);
        self::assertSame(['r7'], array_column($told, 'id'));
        self::assertSame(
            'r1',
            $this->answer($this->getJson("/jobs/{$job->id}/state?stage=kit&open=nowhere"))['desk']['kit']['inHand'],
        );
    }

    public function test_kept_results_have_a_size(): void
    {
        $home = sys_get_temp_dir() . '/ember-results-' . bin2hex(random_bytes(4));
        $store = new FileStore(new Filesystem(), $home);
        $cache = new ResultStore(new Repository($store), 200_000);
        for ($n = 0; $n < 60; $n++) {
            // Not through the cache: one in a hundred of its writes looks at the size automatically.
            $store->put("one.{$n}", str_repeat((string) ($n % 10), 10_000), 3600);
            touch($store->path("one.{$n}"), 1_700_000_000 + $n);
        }
        $left = $cache->prune();
        self::assertLessThanOrEqual(150_000, $left);
        self::assertGreaterThan(130_000, $left);
        self::assertNull((new Repository($store))->getStore()->get('one.0'), 'the oldest is gone');
        self::assertNotNull(@file_get_contents($store->path('one.59')) ?: null, 'the newest is kept');
        self::assertSame($left, $cache->prune(), 'nothing more goes while there is room');
        (new Filesystem())->deleteDirectory($home);
    }
}
