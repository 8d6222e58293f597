<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\History\Revisions;
use App\Kit\Shelves;
use App\Models\Crew;
use EmberDusk\Plan\JobFile;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;

/** The demo world: a crew, its user, its shelf, and every job file in database/demo. Done once. */
final class DatabaseSeeder extends Seeder
{
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
        foreach (array_reverse(glob(database_path('demo/job-*.json')) ?: []) as $file) {
            (new Revisions())->begin(
                $crew,
                $user,
                JobFile::read((string) file_get_contents($file)),
                'Taken from the demo job file',
            );
        }
    }
}
