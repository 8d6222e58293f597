<?php

declare(strict_types=1);

/**
 * The planner against a random local search that knows only the price and the judge: made-up rooms, planned, then searched on for so many seconds
 * each. Run by hand: php tests/bench-search.php [rooms] [seconds]
 */

require __DIR__ . '/../vendor/autoload.php';

use EmberDusk\Planner\Aim;
use EmberDusk\Planner\FeedKinds;
use EmberDusk\Planner\Group;
use EmberDusk\Planner\PlanJudge;
use EmberDusk\Planner\PlannerProgress;
use EmberDusk\Planner\Search;
use EmberDusk\Planner\Tables;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\Planner\RandomSearch;
use EmberDusk\Tests\Planner\SeededRooms;

$rooms = (int) ($argv[1] ?? 30);
$seconds = (float) ($argv[2] ?? 60);
$gaps = $gains = [];
for ($seed = 1; $seed <= $rooms; $seed++) {
    $plan = SeededRooms::of($seed);
    $basis = Demo::basis();
    $search = new Search(
        new Tables($plan, 'room', $basis),
        $basis->shelf,
        new PlannerProgress(),
        new PlanJudge(),
        new FeedKinds(),
    );
    $group = new Group($search, array_values($plan->runs) ?: exit('no runs'), Aim::Cost);
    $from = microtime(true);
    $group->solve();
    $took = microtime(true) - $from;
    if (!$group->complete() || $group->parts === []) {
        printf("room %2d: no complete layout\n", $seed);

        continue;
    }
    [$cost, $tries] = (new RandomSearch($search, $seed))->improved($group->parts, $seconds);
    $gaps[] = $gap = 100 * (1 - $group->bound / $group->rank());
    $gains[] = $gain = 100 * (1 - $cost / $group->rank());
    printf(
        "room %2d: %d runs, planned in %4.1f s, bound %4.1f %% below; random search finds %4.1f %% less in %d tries\n",
        $seed,
        count($plan->runs),
        $took,
        $gap,
        $gain,
        $tries,
    );
}
sort($gaps);
sort($gains);
printf(
    "bound: median %.1f %%, worst %.1f %%; random search of %g s: %d of %d rooms improved by more than 1 %%, at most %.1f %%\n",
    $gaps[intdiv(count($gaps), 2)] ?? 0,
    end($gaps) ?: 0,
    $seconds,
    count(array_filter($gains, static fn(float $g): bool => $g > 1.0)),
    count($gains),
    end($gains) ?: 0,
);
