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
    public function __construct(private Plan $plan) {}

    public function for(LogEntry $e): string
    {
        return match ($e->kind) {
            'reading' => $this->reading($e),
            'colour' => $this->colour($e),
            'count' => $this->name($e->place) .
                ': ' .
                substr($e->command, strlen('count:')) .
                ' set, ' .
                ((int) $e->value === CountFinder::OFF_THE_END
                    ? 'effects run off the end'
                    : 'lit to pixel ' . (int) $e->value),
            LogEntry::ACCEPT => "Accepted: {$e->text}",
            LogEntry::STRIKE => "Struck out: {$e->text}",
            'mend' => $this->name($e->place) . ": fixed, {$e->text}",
            default => $this->name($e->place) . ($e->place === '' ? '' : ': ') . $e->text,
        };
    }

    private function reading(LogEntry $e): string
    {
        foreach (Island::all($this->plan) as $island) {
            try {
                $spot = MeterSpots::named($this->plan, $island, $e->place);

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

    private function colour(LogEntry $e): string
    {
        $run = $this->plan->runs[$e->place] ?? null;
        $seen = $run !== null ? BenchObservation::for($this->plan, $run, new BenchFacts()) : null;
        $commanded = (int) substr($e->command, strlen('colour:')) - 1;
        $name = $seen->colours[$commanded] ?? $e->command;
        $lit = $seen?->words?->seen((int) $e->value) ?? (string) $e->value;

        return $this->name($e->place) . ": {$name} commanded alone, {$lit} lit";
    }

    private function name(string $id): string
    {
        return ($this->plan->runs[$id] ?? null)?->name() ?? ($this->plan->places[$id]->name ?? strtoupper($id));
    }
}
