<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Kit\Profiles\GesturePart;

/** Hand actions split into single presses, holds and power switching over time. */
final readonly class Hands
{
    /** Seconds between two things that hands do in turn, and from the keys of one device to another. Common practice, no source. */
    private const BETWEEN = 0.5;

    private const ACROSS = 1.5;

    /**
     * @param  list<Act>  $acts
     * @return list<Event> the first at the given run second
     */
    public static function at(array $acts, Roster $roster, float $at): array
    {
        $events = [];
        foreach ($acts as $n => $act) {
            if ($act->kind === Act::GESTURE) {
                $new = self::gesture($act, $roster, $at);
            } else {
                $new = [new Event($at, $act->kind, $act->device, $act->text)];
            }
            $events = [...$events, ...$new];
            $across = $act->kind === Act::GESTURE && ($acts[$n + 1]->device ?? $act->device) !== $act->device;
            $at = ($new === [] ? $at : $new[count($new) - 1]->at) + ($across ? self::ACROSS : self::BETWEEN);
        }

        return $events;
    }

    /** Whether an act is made of hands of this kind: power that was switched on before it is not part of its presses. */
    public static function make(Act $act, string $kind, Roster $roster): bool
    {
        if ($act->kind !== Act::GESTURE) {
            return $act->kind === $kind;
        }
        $cycles = array_filter(
            $roster->unit($act->device)->leaflet->gesture(explode(' ', $act->text)[0])->parts ?? [],
            static fn(GesturePart $p): bool => $p->kind === GesturePart::CYCLE,
        );

        return in_array($kind, [Act::PRESS, Act::HOLD, ...$cycles === [] ? [] : [Act::ON, Act::OFF]], true);
    }

    /** @return list<Event> */
    private static function gesture(Act $act, Roster $roster, float $at): array
    {
        [$name, $zone] = [...explode(' ', $act->text), ''];
        $gesture = $roster->unit($act->device)->leaflet->gesture($name);
        $events = $zone !== '' ? [new Event($at, Act::SET, $act->device, "zone {$zone}")] : [];
        foreach ($gesture->parts ?? [] as $part) {
            foreach (range(1, $part->times) as $n) {
                if ($n > 1) {
                    $at += $part->beat();
                }
                $events = [...$events, ...self::part($part, $act->device, $at)];
            }
            $at += ($part->kind === GesturePart::HOLD ? $part->takes() : 0.0) + self::BETWEEN;
        }

        return $events;
    }

    /** @return list<Event> */
    private static function part(GesturePart $part, string $device, float $at): array
    {
        return match ($part->kind) {
            GesturePart::HOLD => [
                new Event($at + $part->takes(), Act::HOLD, $device, sprintf('%s %.2F', $part->key, $part->takes())),
            ],
            GesturePart::CYCLE => [
                new Event($at, Act::OFF, $device),
                new Event($at + $part->beat() / 2, Act::ON, $device),
            ],
            default => [new Event($at, Act::PRESS, $device, $part->key)],
        };
    }
}
