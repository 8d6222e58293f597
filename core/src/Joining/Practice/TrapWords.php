<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Practice;

use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\Flaws;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\Simulation\Trap;
use EmberDusk\Joining\Unit;

/** Description of a turning point. */
final readonly class TrapWords
{
    public static function trap(Trap $trap, ControlledLight $want, SimulatedSite $site): string
    {
        $roster = $site->roster;
        $light = $roster->unit($want->light)->label();
        $control = $roster->unit($want->control)->label();
        $linked = self::linked($want, $roster)->label();

        return match ($trap) {
            Trap::Window => self::window($want, $roster),
            Trap::OwnNetwork => "{$linked} linked before it was in the hub’s network: it formed its own network " .
                "and took {$light} with it. Reset both, then join the hub first.",
            Trap::TwoNetworks
                => "Two remotes had begun a network each, and {$light} can be in one only: link the second remote to " .
                'a light that the first works already.',
            Trap::OldNetwork => self::notReset($want, $site)->label() .
                ' still belongs to the network that it was in before: without a reset it does not search for a new one.',
            Trap::SecondPowered => 'Another controller near by had power, and took the link.',
            Trap::Distance => "{$control} was held too far from {$light}.",
            Trap::NamesAtSearch => "{$control} searched before the light had its name: it has the old names.",
            Trap::OnePhone => 'The phone that bound the lights is not the client’s: no other phone controls them.',
            Trap::Soon => "{$light} takes a zone for some seconds after power-on only: the key came too late.",
            Trap::MeshSearch
                => "The search of the app still ran: the presses on {$light} answered it, and {$control} got no link.",
            Trap::Reach => "No joined node was near enough to {$light}: join the nearest first.",
            Trap::Capacity => "{$control} was full.",
            Trap::Fixed => "{$control} was mounted already, and could not be brought close.",
        };
    }

    /** Which window was missed: of a bridge's countdown, of a link, of a search. */
    private static function window(ControlledLight $want, Roster $roster): string
    {
        $light = $roster->unit($want->light)->label();
        $control = $roster->unit($want->control);

        return match (true) {
            $control->role === Unit::BRIDGE
                => "The countdown of the app was over before {$control->label()} was connected.",
            $control->linksByHand()
                => "{$light} took no link at that moment: its window was not open yet, or closed already.",
            default
                => "The window of {$light} did not meet the search for long enough: it listens for some seconds only.",
        };
    }

    /** The used device that never took a reset: the light, or a remote that has linked to it and taken it along. */
    private static function notReset(ControlledLight $want, SimulatedSite $site): Unit
    {
        $light = $site->roster->unit($want->light);
        $remote = self::linked($want, $site->roster);
        foreach ([$light, $remote] as $unit) {
            $took = array_column($site->device($unit->id)->took(), 1);
            if ($unit->used && !in_array('reset', $took, true)) {
                return $unit;
            }
        }

        return $light;
    }

    /** The remote or panel that links to the light. */
    private static function linked(ControlledLight $want, Roster $roster): Unit
    {
        foreach ($roster->wants as $other) {
            $control = $roster->unit($other->control);
            if ($other->light === $want->light && $control->linksByHand()) {
                return $control;
            }
        }

        return $roster->unit($want->control);
    }

    public static function flaw(Flaw $flaw, Roster $roster): string
    {
        if ($flaw->code === Flaws::MISSED) {
            return "The join of {$roster->unit(
                $flaw->device,
            )->label()} came to nothing once, with nothing wrong: the same once more was all that it took.";
        }
        $suspect = (new Flaws($roster))->suspects()[$flaw->key()] ?? null;

        return ucfirst($suspect->says ?? "{$flaw->code} at {$roster->unit($flaw->device)->label()}") . ': not checked.';
    }
}
