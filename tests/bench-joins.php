<?php

declare(strict_types=1);

/**
 * Joins measured: seeded jobs of all families worked through, each fault alone on twenty jobs and pairs of them, against two baselines, and the
 * times of order and rehearsal. Run by bin/bench.
 */

require __DIR__ . '/../vendor/autoload.php';

use EmberDusk\Joining\Event;
use EmberDusk\Joining\Flaws;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Order\Order;
use EmberDusk\Joining\Person;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\Unit;
use EmberDusk\Tests\Joining\AtRandom;
use EmberDusk\Tests\Joining\Bench;
use EmberDusk\Tests\Joining\Nothing;
use EmberDusk\Tests\Joining\SeededRoster;

$jobs = (int) ($argv[1] ?? 2000);
$families = [];
$right = 0;
$times = [];
for ($seed = 1; $seed <= $jobs; $seed++) {
    $roster = SeededRoster::of($seed);
    $from = hrtime(true);
    $right += (int) Rehearsal::run($roster, $seed)->works();
    $times[] = (hrtime(true) - $from) / 1e6;
    foreach (array_unique(array_map(static fn(Unit $u): string => $u->family, $roster->units)) as $family) {
        $families[$family] = ($families[$family] ?? 0) + 1;
    }
}
sort($times);
printf(
    "joins: %d of %d seeded jobs work, pressed at the end; a rehearsal takes %.1f ms (median), %.1f ms at most\n",
    $right,
    $jobs,
    $times[intdiv($jobs, 2)],
    $times[$jobs - 1],
);
unset($families['']);
ksort($families);
foreach ($families as $family => $count) {
    printf("  %-11s in %4d jobs\n", $family, $count);
}
$pairs = [];
foreach (SeededRoster::FAMILIES as $one) {
    foreach (SeededRoster::FAMILIES as $other) {
        for ($seed = 1; $one !== $other && $seed <= 30; $seed++) {
            $pairs["{$one} {$other}"] =
                ($pairs["{$one} {$other}"] ?? 0) +
                (int) Rehearsal::run(SeededRoster::of($seed, [$one, $other]), $seed)->works();
        }
    }
}
printf(
    "  each of %d ordered pairs of families in 30 jobs, all of them whole in %d of them\n",
    count($pairs),
    count(array_filter($pairs, static fn(int $n): bool => $n === 30)),
);

echo "fault              jobs  fixed  named  steps  at random  steps  reset all\n";
$table = [];
for ($seed = 1; $seed <= 120; $seed++) {
    $roster = SeededRoster::of($seed);
    $taken = [];
    foreach ((new Flaws($roster))->for() as $key => $flaw) {
        if (isset($taken[$flaw->code]) || ($table[$flaw->code][0] ?? 0) >= 20) {
            continue;
        }
        $taken[$flaw->code] = true;
        $ours = Rehearsal::run($roster, $seed, [$flaw]);
        $drawn = Rehearsal::run($roster, $seed, [$flaw], chooser: new AtRandom($seed));
        $reset = Rehearsal::run($roster, $seed, [$flaw], chooser: new Nothing());
        $row = $table[$flaw->code] ?? [0, 0, 0, 0, 0, 0, 0];
        $plain = Rehearsal::run($roster, $seed)->steps;
        foreach (
            [
                1,
                (int) $ours->works(),
                (int) in_array($key, $ours->found, true),
                $ours->steps - $plain,
                (int) $drawn->works(),
                $drawn->steps - $plain,
                (int) $reset->works(),
            ]
            as $n => $more
        ) {
            $row[$n] += $more;
        }
        $table[$flaw->code] = $row;
    }
}
ksort($table);
foreach ($table as $code => [$n, $works, $named, $steps, $random, $randomSteps, $reset]) {
    printf(
        "%-18s %4d %9d %6d %6.1f %9d %7.1f %9d\n",
        $code,
        $n,
        $works,
        $named,
        $steps / $n,
        $random,
        $randomSteps / $n,
        $reset,
    );
}
$two = $both = 0;
for ($seed = 1; $seed <= 120; $seed++) {
    $roster = SeededRoster::of($seed);
    $flaws = array_values((new Flaws($roster))->for());
    foreach (range(1, 3) as $n) {
        $drawn = [$flaws[($seed * 7 + $n * 13) % count($flaws)], $flaws[($seed * 11 + $n * 29) % count($flaws)]];
        if ($drawn[0]->key() !== $drawn[1]->key()) {
            $two++;
            $both += (int) Rehearsal::run($roster, $seed, $drawn)->works();
        }
    }
}
printf("pairs of faults: %d of %d fixed\n", $both, $two);

$units = [Bench::hub(), Bench::remote()];
$wants = [];
foreach (range(1, 58) as $n) {
    $units[] = Bench::zigbee("c{$n}", fmod($n * 3.7, 40));
    $wants = [...$wants, ['h1', "c{$n}"], ['r1', "c{$n}", ($n % 4) + 1]];
}
$large = Bench::roster($units, $wants);
$from = hrtime(true);
Order::for($large);
printf("order of 60 devices: %.0f ms\n", (hrtime(true) - $from) / 1e6);

// Kinds of people who follow the guide, every second of them with a fault in the kit: results, and the cost beyond ideal hands.
$people = (int) ($argv[2] ?? 300);
foreach (Person::kinds() as $name => $person) {
    $works = $said = $false = 0;
    $steps = $seconds = $resets = [];
    for ($seed = 1; $seed <= $people; $seed++) {
        $roster = SeededRoster::of($seed);
        $all = array_values((new Flaws($roster))->for());
        $flaws = $seed % 2 === 0 ? [] : [$all[(7 * $seed) % count($all)]];
        $ideal = Rehearsal::run($roster, $seed, $flaws);
        $done = Rehearsal::run($roster, $seed, $flaws, person: $person);
        $works += (int) $done->works();
        $said += (int) (!$done->works() && $done->aside !== []);
        $proven = $done->run->progress()->marks->proven;
        foreach ($done->tried as $of => $seen) {
            $false += (int) (isset($proven["accept {$of}"]) && $seen !== Observation::Expected);
        }
        $count = static fn(Rehearsal $r): int => count(
            array_filter(
                $r->run->log(),
                static fn(Event $e): bool => $e->kind === Event::DONE && $e->step?->kind === 'reset',
            ),
        );
        $steps[] = $done->steps - $ideal->steps;
        $seconds[] = $done->seconds - $ideal->seconds;
        $resets[] = $count($done) - $count($ideal);
    }
    sort($steps);
    sort($seconds);
    $at = static fn(array $of, float $share): float => (float) $of[(int) floor($share * (count($of) - 1))];
    printf(
        'people: %-14s %d of %d jobs work, %d say what does not, %d controls said to work do not; beyond ideal hands %+.0f steps (95 %%: %+.0f), ' .
            "%+.0f s (95 %%: %+.0f), %.2f resets a job\n",
        $name,
        $works,
        $people,
        $said,
        $false,
        $at($steps, 0.5),
        $at($steps, 0.95),
        $at($seconds, 0.5),
        $at($seconds, 0.95),
        array_sum($resets) / $people,
    );
}
