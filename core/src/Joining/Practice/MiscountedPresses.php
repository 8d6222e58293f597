<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Practice;

use EmberDusk\Joining\Act;
use EmberDusk\Kit\Profiles\Behaviour;
use EmberDusk\Kit\Profiles\GesturePart;

/** Presses in a row that are one more or one fewer than a gesture of the instructions. */
final readonly class MiscountedPresses
{
    /** Seconds between two presses of one row. */
    private const ROW = 2.0;

    /** @param  bool  $nothing  whether they are no gesture at all */
    private function __construct(public float $at, public string $device, public string $words, public bool $nothing) {}

    /** @return list<self> of an attempt, in their order */
    public static function of(Attempt $attempt): array
    {
        $slips = [];
        foreach (self::rows($attempt) as $row) {
            [$device, $key, $times] = [$row->device, $row->key, $row->times];
            $leaflet = $attempt->lesson->roster->unit($device)->leaflet;
            $meant = self::gesture($leaflet, $key, $times - 1) ?? self::gesture($leaflet, $key, $times + 1);
            if ($meant === null) {
                continue;
            }
            $is = self::gesture($leaflet, $key, $times);
            $slips[] = new self(
                $row->at,
                $device,
                sprintf(
                    '%s of %s was pressed %d times: %s. %s is “%s”.',
                    strtoupper($key),
                    strtoupper($device),
                    $times,
                    $is === null ? 'that has no function' : 'that is ' . Behaviour::GESTURES[$is],
                    ucfirst(Behaviour::GESTURES[$meant]),
                    $leaflet->gesture($meant)?->words() ?? '',
                ),
                $is === null,
            );
        }

        return $slips;
    }

    /** How many rows of presses are part of no gesture of the instructions. */
    public static function useless(Attempt $attempt): int
    {
        $useless = 0;
        foreach (self::rows($attempt) as $row) {
            $leaflet = $attempt->lesson->roster->unit($row->device)->leaflet;
            $useless += self::gesture($leaflet, $row->key, $row->times, least: 1) === null ? 1 : 0;
        }

        return $useless;
    }

    /** @return list<PressRow> */
    private static function rows(Attempt $attempt): array
    {
        $times = [];
        foreach ($attempt->log as $event) {
            if ($event->kind === Act::PRESS) {
                $times["{$event->device} {$event->text}"][] = $event->at;
            }
        }
        $rows = [];
        foreach ($times as $of => $presses) {
            [$device, $key] = explode(' ', $of);
            $from = 0;
            foreach ($presses as $n => $at) {
                if (($presses[$n + 1] ?? INF) - $at > self::ROW) {
                    $rows[] = new PressRow($presses[$from], $device, $key, $n + 1 - $from);
                    $from = $n + 1;
                }
            }
        }
        usort(
            $rows,
            static fn(PressRow $a, PressRow $b): int => [$a->at, $a->device, $a->key] <=> [$b->at, $b->device, $b->key],
        );

        return $rows;
    }

    /**
     * The gesture that is so many presses of that key.
     *
     * @param  int  $least  presses of a gesture to be found
     */
    private static function gesture(Behaviour $leaflet, string $key, int $times, int $least = 2): ?string
    {
        foreach ($leaflet->gestures as $name => $gesture) {
            foreach ($gesture->parts as $part) {
                if (
                    $part->kind === GesturePart::PRESS &&
                    $part->times === $times &&
                    $times >= $least &&
                    strtolower($part->key) === strtolower($key)
                ) {
                    return $name;
                }
            }
        }

        return null;
    }
}
