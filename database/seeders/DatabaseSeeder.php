<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Facts\LogBook;
use App\History\Revisions;
use App\Kit\Shelves;
use App\Models\Crew;
use App\Models\Job;
use App\Models\User;
use App\People\Role;
use App\Time\Clock;
use EmberDusk\Bench\Faults\SimulatedMeter;
use EmberDusk\Bench\Log\LogEntry;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpots;
use EmberDusk\Bench\Tests\Tests;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\JobFile;
use EmberDusk\Rates\Work;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Visit;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;

/** The demo world: a crew, its user, its shelf, and every job file in database/demo. Done once. */
final class DatabaseSeeder extends Seeder
{
    /** Days from today until the crew comes, and for how many days (0: as many as it takes), by job file. */
    private const VISITS = ['job-narrowboat' => [[9, 1], [23, 0]], 'job-hide' => [[3, 0]]];

    /** Visits are around the day on which the demo is begun. */
    private function arrange(Job $job, string $file): void
    {
        if (!isset(self::VISITS[$file]) || config('ember.demo_jobs') !== database_path('demo')) {
            return;
        }
        $visits = array_map(
            static fn(array $visit): Visit => new Visit(
                Clock::now()
                    ->modify("+{$visit[0]} days")
                    ->format('Y-m-d'),
                $visit[1],
                2,
            ),
            self::VISITS[$file],
        );
        $job->arrangement()->create(['document' => (new Arrangement($visits))->write()]);
    }

    /** The small job was tried in the workshop the day before: its loose tests, readings of good wiring, a remark. */
    private function bench(Job $job, User $user, string $file): void
    {
        if ($file !== 'job-hide' || config('ember.demo_jobs') !== database_path('demo')) {
            return;
        }
        $plan = $job->newest()->plan();
        $at = Clock::now()->modify('-1 day')->setTime(15, 0);
        $time = static function (int $minutes) use ($at): string {
            return $at->modify("+{$minutes} minutes")->format('Y-m-d\TH:i:s.v\Z');
        };
        $minute = 0;
        foreach (Tests::for($plan) as $test) {
            if (str_starts_with($test->step, 'loose-')) {
                $job->ticks()->create([
                    'uuid' => (string) Str::uuid(),
                    'step' => $test->id,
                    'kind' => 'loose',
                    'done' => true,
                    'table_minutes' => Work::Loose->minutes(),
                    'minutes' => 2,
                    'at' => $time($minute += 2),
                    'user_id' => $user->id,
                    'words' => $test->title,
                ]);
            }
        }
        $note = static function (string $kind, string $place, ?float $value, string $text) use (
            $job,
            $plan,
            $user,
            $time,
            &$minute,
        ): void {
            LogBook::keep(
                $job,
                $plan,
                new LogEntry(
                    uuid: (string) Str::uuid(),
                    kind: $kind,
                    place: $place,
                    command: $kind === 'reading' ? MeterCommand::FULL : '',
                    value: $value,
                    text: $text,
                    by: '',
                    sure: false,
                    at: $time($minute += 2),
                    who: $user->name,
                ),
                $user->id,
                null,
            );
        };
        foreach (Island::all($plan) as $island) {
            $meter = new SimulatedMeter($plan, $island, [], 4);
            foreach (['s1', 'c1:in', 'k2:drop:1', 'shelf@0.00:1', 'shelf@3.10:1'] as $spot) {
                $note(
                    'reading',
                    $spot,
                    $meter->read(MeterSpots::named($plan, $island, $spot), MeterCommand::full())->value,
                    '',
                );
            }
        }
        $note('remark', 'shelf', null, 'Lead of warm white marked with tape at the strip.');
    }

    public function run(): void
    {
        $crew = Crew::query()->firstOrCreate(['name' => 'Saltmarsh Lighting']);
        if ($crew->jobs()->exists()) {
            return;
        }
        $user = $crew
            ->users()
            ->firstOrCreate(
                ['email' => config('ember.demo_email')],
                ['name' => 'Demo installer', 'password' => Str::random(40), 'role' => Role::Owner],
            );
        Shelves::stock($crew, database_path('demo/shelf.json'));
        // The observatory is the demo job: it comes first.
        foreach (array_reverse(glob(config('ember.demo_jobs') . '/job-*.json') ?: []) as $file) {
            $job = (new Revisions())->begin(
                $crew,
                $user,
                JobFile::read((string) file_get_contents($file)),
                'Taken from the demo job file',
            );
            $this->arrange($job, basename($file, '.json'));
            $this->bench($job, $user, basename($file, '.json'));
        }
    }
}
