<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\History\Revisions;
use App\Kit\Shelves;
use App\Models\Crew;
use App\Models\Job;
use App\Time\Clock;
use EmberDusk\Plan\JobFile;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Visit;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;

/** The demo world: a crew, its user, its shelf, and every job file in database/demo. Done once. */
final class DatabaseSeeder extends Seeder
{
    /** Days from today until the crew comes, and for how many days (0: as many as it takes), by job file. */
    private const VISITS = ['job-narrowboat' => [[9, 1], [23, 0]], 'job-hide' => [[3, 0]]];

    /** Visits lie around the day on which the demo is begun. */
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
                ['name' => 'Demo installer', 'password' => Str::random(40)],
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
        }
    }
}
