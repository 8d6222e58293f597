<?php

declare(strict_types=1);

// A worker of ConcurrencyTest: describes the demo job again so many times, or reports the history.

use App\History\Revisions;
use App\Models\Job;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel;

require __DIR__ . '/../vendor/autoload.php';
$app = require __DIR__ . '/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$job = Job::query()->firstOrFail();
if ($argv[1] === 'report') {
    $history = $job->revisions()->orderBy('number')->get();
    echo json_encode(['numbers' => $history->pluck('number')->all(), 'words' => $history->pluck('words')->all()]);
    exit(0);
}
$user = User::query()->firstOrFail();
for ($n = 1; $n <= (int) $argv[2]; $n++) {
    do {
        // Another worker may have written between reading the base and taking the lock: then it is refused, and repeated.
        try {
            (new Revisions())->change($job, $user, $job->newest()->number, [
                'kind' => 'DescribeJob',
                'name' => "Worker {$argv[1]}, change {$n}",
                'client' => '',
            ]);
            $kept = true;
        } catch (App\History\Conflict) {
            $kept = false;
        }
    } while (!$kept);
}
