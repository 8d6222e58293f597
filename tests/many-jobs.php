<?php

declare(strict_types=1);

// For bin/bench: adds the given number of jobs to the first crew, from two named job files; every tenth is the second one. They are older than the
// existing jobs, so that the demo jobs stay first.

use App\History\Revisions;
use App\Models\Crew;
use EmberDusk\Plan\JobFile;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

require __DIR__ . '/../vendor/autoload.php';
$app = require __DIR__ . '/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$crew = Crew::query()->firstOrFail();
[$small, $large] = array_map(static fn(string $file) => JobFile::read((string) file_get_contents($file)), [
    $argv[2],
    $argv[3],
]);
DB::transaction(static function () use ($crew, $small, $large, $argv): void {
    for ($n = 1; $n <= (int) $argv[1]; $n++) {
        (new Revisions())->begin($crew, null, $n % 10 === 0 ? $large : $small, 'Begun');
    }
    $crew
        ->jobs()
        ->where('id', '>', 3)
        ->update(['updated_at' => '2026-01-01 00:00:00']);
});
