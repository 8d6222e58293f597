<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\School;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Trigger;

/** What of a job can start something by itself: apps that keep the time or hear who is there, controllers that take a key or a vehicle's wires. */
final readonly class Keepers
{
    /** Why nothing of the job can start it; null where something can. */
    public static function none(Plan $plan, Trigger $trigger): ?string
    {
        $units = RosterOfPlan::of($plan, new School())->units;
        $function = $trigger->timed() ? 'schedule' : 'presence';
        $apps = array_filter(
            $units,
            static fn(Unit $u): bool => in_array($u->role, [Unit::HUB, Unit::ASSISTANT], true) &&
                !in_array($function, $u->leaflet->lacks, true),
        );
        $wires = array_sum(array_map(static fn(Unit $u): float => $u->leaflet->seconds('inputs'), $units));
        $panels = array_filter($units, static fn(Unit $u): bool => $u->role === Unit::PANEL);

        [$there, $else] = match (true) {
            $trigger->timed() => [
                $apps !== [],
                'Nothing of the job keeps the time: a hub or a server does, a remote does not.',
            ],
            $trigger->by === Trigger::PRESENCE => [
                $apps !== [] || $wires >= 1,
                'Nothing of the job hears whether somebody is there: choose a hub, a server, or a controller with a wire for it.',
            ],
            $trigger->by === Trigger::PUSH => [
                $panels !== [] || $wires >= 1,
                'Nothing of the job takes a push-button: choose a wall panel, or a controller with a wire for it.',
            ],
            default => [
                $wires >= self::wired($plan),
                sprintf(
                    'The controllers have %d wires for signals, %d are wanted: choose one with more, or leave a signal out.',
                    (int) $wires,
                    self::wired($plan),
                ),
            ],
        };
        if ($there) {
            return null;
        }

        return $else;
    }

    /** Wires of a vehicle that the job wants, each once. */
    private static function wired(Plan $plan): int
    {
        return count(
            array_unique(
                array_map(
                    static fn(Trigger $t): string => $t->by,
                    array_filter($plan->triggers, static fn(Trigger $t): bool => $t->wired()),
                ),
            ),
        );
    }
}
