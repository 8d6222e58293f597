<?php

declare(strict_types=1);

// Time of the core alone, and size of a first visit.

use App\Kit\Shelves;
use App\Screens\Screen;
use EmberDusk\Checks\Findings;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Costing\Basis;
use EmberDusk\Costing\Costing;
use EmberDusk\Job\JobState;
use EmberDusk\Parts\CutList;
use EmberDusk\Parts\JointedCuts;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\DataRoute;
use EmberDusk\Planner\Planner;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Move;
use EmberDusk\Schedule\Pin;
use EmberDusk\Schedule\RemainingWork;
use EmberDusk\Schedule\Steps;
use EmberDusk\Schedule\Visit;
use EmberDusk\Values\JobStage;
use Tests\Measured;

require __DIR__ . '/../vendor/autoload.php';

$median = Measured::median(...);
$row = Measured::row(...);
$timed = Measured::timed(...);
// The planner, cold: forty runs and three hundred metres, strips chosen and nothing else.
$fixture = static fn(string $name): string => (string) file_get_contents(__DIR__ . "/fixtures/bench/{$name}.json");
$shelf = Shelves::ofFile(__DIR__ . '/fixtures/bench/shelf.json');
$forty = JobFile::read($fixture('forty-runs'));
$took = [];
for ($n = 0; $n < 3; $n++) {
    $at = hrtime(true);
    $proposal = Planner::propose($forty, array_map(strval(...), array_keys($forty->runs)), new Basis($shelf));
    $took[] = (hrtime(true) - $at) / 1e9;
}
$row(
    'Planner, 40 runs, 300 m',
    sprintf('%.1f s', $median($took)),
    sprintf(
        'median of 3, cold, %d layouts solved, %.2f %s, gap %.0f %%; at most 3 s',
        $proposal->solved,
        $proposal->cost() / 10_000,
        $forty->terms->currency,
        100 * (1 - $proposal->bound / $proposal->cost()),
    ),
);
// Order and direction of the runs of a data line, of seeded positions in a hall of 20 m by 12 m.
foreach ([9 => 'exact; at most 100 ms', 30 => 'near the best; at most 500 ms'] as $runs => $conditions) {
    mt_srand($runs);
    $ends = array_map(static fn(): array => [mt_rand(0, 2000) / 100, mt_rand(0, 1200) / 100], range(1, 2 * $runs));
    $apart = static fn(array $a, array $b): float => abs($a[0] - $b[0]) + abs($a[1] - $b[1]);
    $between = [];
    foreach (array_keys($ends) as $out) {
        $between[] = array_map(static fn(array $in): float => $apart($ends[$out ^ 1], $in), $ends);
    }
    $first = array_map(static fn(array $in): float => $apart([0, 0], $in), $ends);
    $row(
        "Data route of {$runs} runs",
        sprintf('%.0f ms', $timed(static fn() => DataRoute::order($first, $between))),
        "median of 20, {$conditions}",
    );
}
$file = $fixture('forty-runs-wired');
$whole = JobFile::read($file);
$solved = [];
foreach (Island::all($whole) as $island) {
    $solved += (new Engine($whole))->island($island);
}
$row(
    'All checks of the 40-run job',
    sprintf('%.1f ms', $timed(static fn() => (new Findings(new JobState($whole, $solved, $shelf)))->for())),
    'median of 20, in the core, solved already, fixes that need no solve; at most 25 ms',
);
$many = JobFile::read($fixture('two-hundred-runs'));
$row(
    'Kit of 200 runs',
    sprintf('%.0f ms', $timed(static fn() => Screen::for(JobStage::Kit, new JobState($many, [], $shelf, [])))),
    'median of 20, in the core; the most runs that a job takes',
);
// Parts and the plan of work.
/** @var array{whole: list<int>, parted: list<int>} $cuts */
$cuts = json_decode($fixture('pieces'), true);
['whole' => $pieces, 'parted' => $parted] = $cuts;
$row(
    'Cut list of 200 pieces',
    sprintf('%.2f s', $timed(static fn() => CutList::for($pieces, 2000)) / 1000),
    'median of 20, warm, lengths in steps of 50 mm; at most 1 s',
);
$whole = JobFile::read($file);
$row(
    'Parts of the 40-run job',
    sprintf('%.0f ms', $timed(static fn() => PartsList::for($whole, $shelf))),
    'median of 20, warm; at most 150 ms',
);
$basis = new Basis($shelf);
$row(
    'Price of the 40-run job',
    sprintf('%.0f ms', $timed(static fn() => Costing::price($whole, $basis))),
    'median of 20, warm, parts, cut lists, steps and lines; at most 60 ms',
);
$moved = static fn(int $n): Plan => Catalogue::read(
    ['kind' => 'SetFeeds', 'run' => 'a0', 'shares' => [0.02 + $n / 40]],
    $shelf,
)->apply($whole);
$row(
    'What a change there moves',
    sprintf('%.1f ms', $timed(static fn(int $n) => Costing::moving($moved($n), $basis, ['a0'])->cost())),
    'median of 20, warm, a feed moved each time, the change with it; at most 2 ms',
);
$steps = array_slice(Steps::for($whole, PartsList::for($whole, $shelf), Productivity::from([])), 0, 300);
$arrangement = new Arrangement([new Visit('2026-11-30', 0, 2)]);
$remaining = RemainingWork::for(steps: $steps, arrangement: $arrangement, ticks: [], arrivals: [], now: '2026-11-30');
$row(
    'Schedule of ' . count($steps) . ' steps',
    sprintf(
        '%.2f s',
        $timed(
            static fn() => RemainingWork::for(
                steps: $steps,
                arrangement: $arrangement,
                ticks: [],
                arrivals: [],
                now: '2026-11-30',
            ),
        ) / 1000,
    ),
    'median of 20, warm, two people; at most 0.3 s',
);
$last = array_key_last($remaining->left);
$row(
    'What moving a step of them costs',
    sprintf('%.2f s', $timed(static fn() => Move::for($remaining, new Pin((string) $last, '2026-12-21', 0))) / 1000),
    'median of 20, warm, both schedules and the soonest',
);
$row(
    'Cut list of 24 pieces, 12 may be parted',
    sprintf(
        '%.2f s',
        $timed(static fn() => JointedCuts::for(array_slice($pieces, 0, 12), $parted, 2000, [700])) / 1000,
    ),
    'median of 20, warm, fewest joints too',
);

// The solver alone.
$plan = JobFile::read($fixture('observatory'));
$times = [];
$rounds = 0;
for ($n = 0; $n < 25; $n++) {
    $network = (new Engine($plan))->network($plan->run('cove'));
    $at = hrtime(true);
    $rounds = Newton::solve($network)->iterations;
    $times[] = (hrtime(true) - $at) / 1e6;
}
$row(
    'Solve of the 18 m cove, 720 loads',
    sprintf('%.1f ms', $median(array_slice($times, 5))),
    "median of 20, {$rounds} iterations",
);

// Script size of a first visit; Wire is the largest page.
$manifest = (array) json_decode((string) file_get_contents(__DIR__ . '/../public/build/manifest.json'), true);
$load = static function (string $key, array &$seen) use (&$load, $manifest): int {
    if (isset($seen[$key])) {
        return 0;
    }
    $seen[$key] = true;
    $bytes = strlen(
        (string) gzencode((string) file_get_contents(__DIR__ . '/../public/build/' . $manifest[$key]['file']), 6),
    );
    foreach ($manifest[$key]['imports'] ?? [] as $import) {
        $bytes += $load($import, $seen);
    }

    return $bytes;
};
$largest = 0;
foreach (array_keys($manifest) as $key) {
    if (preg_match('~^resources/js/stages/[a-z-]+/\w+Page\.vue$~', $key) === 1) {
        $seen = [];
        $largest = max($largest, $load('resources/js/app.ts', $seen) + $load($key, $seen));
    }
}
$row('Script of a first visit, largest page', sprintf('%.0f kB', $largest / 1000), 'gzip; at most 250 kB');
