<?php

declare(strict_types=1);

namespace EmberDusk\Tests;

use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;

/** A job of rooms with up to five runs each, by default 40 runs and 300 m, with strips and nothing else chosen. */
final class FortyRuns
{
    public static function plan(ShelfSource $shelf, int $each = 5, int $rooms = 8): Plan
    {
        $places = [];
        for ($room = 1; $room <= $rooms; $room++) {
            $places["room{$room}"] = new Place("room{$room}", "Room {$room}", '');
        }
        $plan = new Plan('Forty runs', '', places: $places);
        $words = ['a', 'b', 'c', 'd', 'e'];
        $strips = ['strip-single-24', 'strip-single-24', 'strip-single-24', 'strip-tunable-24', 'strip-single-24-mood'];
        $apply = static fn(Plan $plan, array $change): Plan => Catalogue::read($change, $shelf)->apply($plan);
        foreach (array_keys($places) as $r => $place) {
            $metres = array_map(
                static fn(int $n): string => sprintf('%.2f', 7.5 + ($n - 2) * (0.9 + 0.1 * ($r % 8))),
                range(0, 4),
            );
            $notes = ['start door'];
            foreach ($metres as $n => $length) {
                $notes[] = ($n === 0 ? '' : 'right ') . $length . ($n < $each ? " {$words[$n]}{$r}" : '');
                array_push($notes, ...[0 => ['box B1 cupboard at 1.00'], 1 => ['outlet P1 wall at 2.00']][$n] ?? []);
            }
            $plan = $apply($plan, ['kind' => 'ReviseNotes', 'place' => $place, 'text' => implode("\n", $notes)]);
            foreach (array_slice($words, 0, $each) as $n => $word) {
                $plan = $apply($plan, ['kind' => 'ChooseKit', 'run' => "{$word}{$r}", 'kit' => $strips[($n + $r) % 5]]);
            }
        }

        return $plan;
    }
}
