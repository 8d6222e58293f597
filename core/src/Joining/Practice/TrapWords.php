<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Practice;

use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\Flaws;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\StandIn\Trap;
use EmberDusk\Joining\Want;

/** What went wrong at a turning point, in words. */
final readonly class TrapWords
{
    public static function trap(Trap $trap, Want $want, Roster $roster): string
    {
        $light = $roster->unit($want->light)->label();
        $control = $roster->unit($want->control)->label();
        $linked = self::linked($want, $roster);

        return match ($trap) {
            Trap::Window
                => "The window of {$light} did not meet the search for long enough: it listens for some seconds only.",
            Trap::OwnNetwork
                => "{$linked} linked before it was in the hub’s network: it formed one of its own, and took {$light} along. Both are reset, the hub first.",
            Trap::OldNetwork
                => "{$light} still belongs to the network that it was in before: without a reset it looks for no other.",
            Trap::SecondPowered => 'Another controller near by had power, and took the link.',
            Trap::Distance => "{$control} was held too far from {$light} to be heard.",
            Trap::NamesAtSearch
                => "{$control} searched before the light had its name: it knows the names of that moment.",
            Trap::OnePhone => 'The phone that bound the lights does not stay: they obey no other.',
            Trap::Soon => "{$light} takes a zone for some seconds after power-on only: the key came too late.",
            Trap::MeshSearch
                => "The search of the app still ran: the presses on {$light} answered it, and {$control} went without.",
            Trap::Reach => "No node that was in the mesh was near enough to {$light}: the nearest join first.",
            Trap::Capacity => "{$control} was full.",
            Trap::Fixed => "{$control} was fixed already, and could not be brought near.",
        };
    }

    /** The remote or panel that links to the light. */
    private static function linked(Want $want, Roster $roster): string
    {
        foreach ($roster->wants as $other) {
            $control = $roster->unit($other->control);
            if ($other->light === $want->light && $control->linksByHand()) {
                return $control->label();
            }
        }

        return $roster->unit($want->control)->label();
    }

    public static function flaw(Flaw $flaw, Roster $roster): string
    {
        if ($flaw->code === Flaws::MISSED) {
            return "The join of {$roster->unit(
                $flaw->device,
            )->label()} came to nothing once, with nothing wrong: the same once more was all that it took.";
        }
        $suspect = Flaws::suspects($roster)[$flaw->key()] ?? null;

        return ucfirst($suspect->says ?? "{$flaw->code} at {$roster->unit($flaw->device)->label()}") .
            ': it was not looked at.';
    }
}
