<?php

declare(strict_types=1);

// The fault finder against two ways that people go about it, on the islands of the demo jobs; how long a ranking takes after a
// reading; how long a log of 10,000 entries is searched.

use App\Models\Crew;
use App\Screens\Bench\LogPage;
use EmberDusk\Bench\Faults\BenchRun;
use EmberDusk\Bench\Faults\FaultBelief;
use EmberDusk\Bench\Faults\NextReading;
use EmberDusk\Bench\Faults\Predictions;
use EmberDusk\Bench\Faults\SimulatedMeter;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\Reading;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Bench\EndToEnd;
use EmberDusk\Tests\Bench\Halving;
use EmberDusk\Tests\Bench\RandomFault;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use Tests\Measured;

require __DIR__ . '/../vendor/autoload.php';

$seeds = (int) (getenv('EMBER_SEEDS') ?: 38);
$median = Measured::median(...);
printf(
    "\nFaults put in and looked for, %d seeds an island: named right, named wrong and confident, mean readings\n\n",
    $seeds,
);
printf("%-22s %-22s %-22s %-22s\n", '', 'most information', 'end to end', 'halving');
$sums = [];
foreach (['observatory', 'narrowboat', 'hide'] as $job) {
    $plan = JobFile::read(Demo::shipped($job));
    foreach (array_filter(Island::all($plan), static fn(Island $i): bool => $i->parts !== []) as $island) {
        $predictions = Predictions::for($plan, $island, array_values($island->parts)[0]->run);
        $cells = [];
        foreach ([new NextReading(), new EndToEnd(), new Halving()] as $n => $way) {
            $right = $wrong = $readings = 0;
            for ($seed = 1; $seed <= $seeds; $seed++) {
                $fault = RandomFault::for($predictions, $seed);
                $run = BenchRun::for(
                    plan: $plan,
                    island: $island,
                    predictions: $predictions,
                    faults: $fault === null ? [] : [$fault],
                    seed: $seed,
                    chooses: $way,
                );
                $named = $run->named() === $fault?->class();
                $right += $named ? 1 : 0;
                $wrong += !$named && $run->confident() ? 1 : 0;
                $readings += count($run->readings);
            }
            $cells[] = sprintf('%d of %d, %d, %.1f', $right, $seeds, $wrong, $readings / $seeds);
            $sums[$n] = [($sums[$n][0] ?? 0) + $right, ($sums[$n][1] ?? 0) + $wrong, ($sums[$n][2] ?? 0) + $seeds];
        }
        printf("%-22s %-22s %-22s %-22s\n", "{$job} " . array_key_first($island->parts), ...$cells);
    }
}
printf(
    "%-22s %-22s %-22s %-22s\n\n",
    'together',
    ...array_map(
        static fn(array $s): string => sprintf('%.1f %%, %d of %d', (100 * $s[0]) / $s[2], $s[1], $s[2]),
        $sums,
    ),
);

// One and two faults at the same time, on seeds of their own: 500 cases.
$told = array_fill_keys(['cases', 'right', 'confident', 'wrong', 'several'], 0);
$islands = [];
foreach (['observatory', 'narrowboat', 'hide'] as $job) {
    $plan = JobFile::read(Demo::shipped($job));
    foreach (array_filter(Island::all($plan), static fn(Island $i): bool => $i->parts !== []) as $island) {
        $islands[] = [$plan, $island, Predictions::for($plan, $island, array_values($island->parts)[0]->run)];
    }
}
for ($case = 0; $case < 500; $case++) {
    [$plan, $island, $predictions] = $islands[intdiv($case, 2) % count($islands)];
    $faults = [];
    for ($seed = 200_000 + 50 * $case; count($faults) < 1 + ($case % 2); $seed++) {
        $fault = RandomFault::for($predictions, $seed);
        $faults[$fault?->class()] = $fault;
    }
    try {
        $run = BenchRun::for($plan, $island, $predictions, array_values(array_filter($faults)), $case);
    } catch (Refusal) {
        // Two faults so large that the circuit has no volts.
        continue;
    }
    $right = isset($faults[$run->named()]) || (count($faults) > 1 && $run->named() === FaultBelief::SEVERAL);
    $told['cases']++;
    $told['right'] += $right ? 1 : 0;
    $told['confident'] += $run->confident() ? 1 : 0;
    $told['wrong'] += !$right && $run->confident() ? 1 : 0;
    $told['several'] += $run->named() === FaultBelief::SEVERAL ? 1 : 0;
}
printf(
    "One and two faults at once: %d cases, %d right (%d as more than one), %d confident, %d confidently wrong (at most 1 in 200)\n\n",
    $told['cases'],
    $told['right'],
    $told['several'],
    $told['confident'],
    $told['wrong'],
);

// Readings from -60 to 60 V at every place of every island: each has an answer.
$answered = 0;
foreach ($islands as [$plan, $island, $predictions]) {
    foreach ($predictions->spots as $spot) {
        for ($value = -60.0; $value <= 60.0; $value += 20.0) {
            $readings = [new Reading($spot, MeterCommand::full(), $value)];
            (new NextReading())->next(FaultBelief::from($predictions, $readings), $readings);
            $answered++;
        }
    }
}
printf("Readings from -60 to 60 V: %d answered\n\n", $answered);

$row = Measured::row(...);
foreach (
    [
        'demo job' => JobFile::read(Demo::shipped('observatory')),
        '40 runs, 300 m' => JobFile::read(
            (string) file_get_contents(__DIR__ . '/fixtures/bench/forty-runs-wired.json'),
        ),
    ]
    as $name => $plan
) {
    $worst = $cold = 0.0;
    foreach (
        array_slice(
            array_values(array_filter(Island::all($plan), static fn(Island $i): bool => $i->parts !== [])),
            0,
            8,
        )
        as $island
    ) {
        $began = microtime(true);
        $predictions = Predictions::for($plan, $island, array_values($island->parts)[0]->run);
        $cold = max($cold, 1000 * (microtime(true) - $began));
        $meter = new SimulatedMeter($plan, $island, [], 1);
        $readings = [];
        foreach (array_slice($predictions->spots, 0, 5) as $spot) {
            $readings[] = $meter->read($spot, MeterCommand::full());
        }
        $times = [];
        for ($n = 0; $n < 20; $n++) {
            $began = microtime(true);
            (new NextReading())->next(FaultBelief::from($predictions, $readings), $readings);
            $times[] = 1000 * (microtime(true) - $began);
        }
        $worst = max($worst, $median($times));
    }
    $row(
        "Ranking after a reading, {$name}",
        sprintf('%.0f ms', $worst),
        'five readings, largest island, warm, median of 20; at most ' . ($name === 'demo job' ? '200 ms' : '1 s'),
    );
    $row(
        "Table of faults of an island, {$name}",
        sprintf('%.0f ms', $cold),
        'cold, largest island; kept by fingerprint',
    );
}

$app = require __DIR__ . '/../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
config([
    'database.default' => 'bench',
    'database.connections.bench' => ['database' => ':memory:'] + config('database.connections.sqlite'),
]);
Illuminate\Support\Facades\Artisan::call('migrate', ['--force' => true]);
$crew = Crew::query()->create(['name' => 'One']);
$job = $crew->jobs()->create(['name' => 'Job', 'client' => '', 'kit' => []]);
foreach (array_chunk(range(1, 10_000), 500) as $chunk) {
    $job->logEntries()->insert(
        array_map(
            static fn(int $n): array => [
                'uuid' => sprintf('%08d-0000-8000-8000-000000000000', $n),
                'job_id' => $job->id,
                'who' => 'Demo installer',
                'kind' => ['reading', 'remark', 'colour', 'mend'][$n % 4],
                'place' => ['cove@1.00:1', 's1', 'path', 'k2:drop:1'][$n % 4],
                'command' => 'full',
                'value' => $n / 7,
                'text' => '',
                'words' => "Cove, pads at 1.00 m, + to warm white, at full: {$n} V",
                'by' => '',
                'sure' => false,
                'at' => sprintf('2026-11-%02dT%02d:%02d:00.000Z', 1 + ($n % 28), $n % 24, $n % 60),
            ],
            $chunk,
        ),
    );
}
$times = [];
for ($n = 0; $n < 20; $n++) {
    $began = microtime(true);
    LogPage::for($job, JobFile::read(Demo::shipped('hide')), 'pads ' . (100 + $n), 'reading', 'cove', 1);
    $times[] = 1000 * (microtime(true) - $began);
}
$row(
    '10,000 entries of a log searched',
    sprintf('%.0f ms', $median($times)),
    'two words, kind and place, median of 20; at most 50 ms',
);
