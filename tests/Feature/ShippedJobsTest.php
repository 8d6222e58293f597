<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Crew;
use App\Models\Job;
use App\Results\JobLoader;
use App\Time\Clock;
use Database\Seeders\DatabaseSeeder;
use EmberDusk\Checks\Findings;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Finding;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** The jobs that ship as demo data: every command of the README answers for each, and the seeder lays them around today. */
final class ShippedJobsTest extends TestCase
{
    use RefreshDatabase;

    /** @return iterable<string, array{string}> */
    public static function jobs(): iterable
    {
        foreach (Demo::SHIPPED as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('jobs')]
    public function test_every_command_answers(string $name): void
    {
        $file = database_path("demo/job-{$name}.json");
        // One cove of the observatory is still dull: it stops the job.
        $stopped = $name === 'observatory' ? 1 : 0;
        foreach (
            [
                ['ember:solve', [], $stopped],
                ['ember:parts', [], 0],
                ['ember:build', [], 0],
                ['ember:export', ['--as' => 'spice'], 0],
                ['ember:join', [], 0],
                ['ember:rehearse', [], 0],
                ['ember:bench', [], 0],
                ['ember:advise', ['--keep' => ['kit', 'cables']], 0],
            ]
            as [$command, $options, $exit]
        ) {
            self::assertSame($exit, Artisan::call($command, ['file' => $file] + $options), "{$command} of {$name}");
            self::assertGreaterThan(80, strlen(Artisan::output()), $command);
        }
    }

    #[DataProvider('jobs')]
    public function test_its_kit_is_as_the_shelf_has_it_now(string $name): void
    {
        $text = Demo::shipped($name);
        $plan = JobFile::read($text);
        self::assertSame($text, JobFile::write($plan));
        foreach ($plan->kit as $id => $kit) {
            self::assertSame(Demo::shelf()->find($id)?->hash, $kit->hash, "{$id} in {$name}");
        }
        foreach ([...$plan->supplies, ...$plan->controllers] as $unit) {
            self::assertNotSame('', $unit->where(), "{$unit->id} in {$name} stands nowhere");
        }
        foreach ($plan->runs as $run) {
            self::assertNotNull($run->strip, $run->id);
        }
    }

    /** Common values of the trade's instructions are in the tests, never together in one entry of the demo shelf. */
    public function test_the_demo_kit_is_invented(): void
    {
        foreach (Demo::shelf()->ofKind('controller') as $kit) {
            $profile = (array) ($kit->written['profile'] ?? []);
            $common = array_filter([
                ($profile['key'] ?? '') === 'PROG',
                ($profile['presses'] ?? 0) === 5,
                (float) ($profile['listens'] ?? 0) === 15.0,
            ]);
            self::assertLessThan(2, count($common), $kit->entry->id());
        }
        foreach (Demo::shelf()->ofKind('hub') as $kit) {
            $profile = (array) ($kit->written['profile'] ?? []);
            self::assertNotSame([60.0, 20], [(float) ($profile['search'] ?? 0), $profile['letters'] ?? 0]);
        }
    }

    public function test_the_seeder_lays_visits_around_today(): void
    {
        config(['ember.demo_jobs' => database_path('demo')]);
        $this->seed(DatabaseSeeder::class);
        self::assertSame(3, Crew::query()->firstOrFail()->jobs()->count());
        $hide = Job::query()->where('name', 'Bird hide shelf')->firstOrFail();
        $visits = $hide->arrangement()->firstOrFail()->read()->visits;
        self::assertSame(Clock::now()->modify('+3 days')->format('Y-m-d'), $visits[0]->from);
        foreach (Job::query()->with('crew')->get() as $job) {
            $state = app(JobLoader::class)->load($job, $job->newest()->plan());
            $codes = array_map(static fn(Finding $f): string => $f->code, (new Findings($state))->for());
            self::assertNotContains('visits', $codes, "the work of {$job->name} does not fit its visits");
        }
    }
}
