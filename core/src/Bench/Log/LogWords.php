<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Log;

use EmberDusk\Bench\BenchObservation;
use EmberDusk\Bench\Count\CountFinder;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpots;
use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;

/** An entry in words, as the plan calls things when it is written. */
final readonly class LogWords
{
    public static function for(Plan $plan, LogEntry $e): string
    {
        return match ($e->kind) {
            'reading' => self::reading($plan, $e),
            'colour' => self::colour($plan, $e),
            'count' => self::name($plan, $e->place) .
                ': ' .
                substr($e->command, strlen('count:')) .
                ' set, ' .
                ((int) $e->value === CountFinder::OFF_THE_END
                    ? 'effects run off the end'
                    : 'lit to pixel ' . (int) $e->value),
            LogEntry::ACCEPT => "Accepted: {$e->text}",
            LogEntry::STRIKE => "Struck out: {$e->text}",
            'mend' => self::name($plan, $e->place) . ": fixed, {$e->text}",
            default => self::name($plan, $e->place) . ($e->place === '' ? '' : ': ') . $e->text,
        };
    }

    private static function reading(Plan $plan, LogEntry $e): string
    {
        foreach (Island::all($plan) as $island) {
            try {
                $spot = MeterSpots::named($plan, $island, $e->place);

                return ucfirst($spot->words) .
                    ', ' .
                    MeterCommand::read($e->command)->words() .
                    ': ' .
                    Multimeter::print((float) $e->value, $spot->unit);
            } catch (InvalidInput) {
                // It is in another island, or nowhere any more.
                continue;
            }
        }

        return "{$e->place}: " . sprintf('%.5g', (float) $e->value);
    }

    private static function colour(Plan $plan, LogEntry $e): string
    {
        $run = $plan->runs[$e->place] ?? null;
        $seen = $run !== null ? BenchObservation::for($plan, $run, new BenchFacts()) : null;
        $commanded = (int) substr($e->command, strlen('colour:')) - 1;
        $name = $seen->colours[$commanded] ?? $e->command;
        $lit = $seen?->words?->seen((int) $e->value) ?? (string) $e->value;

        return self::name($plan, $e->place) . ": {$name} commanded alone, {$lit} lit";
    }

    private static function name(Plan $plan, string $id): string
    {
        return ($plan->runs[$id] ?? null)?->name() ?? ($plan->places[$id]->name ?? strtoupper($id));
    }
}
