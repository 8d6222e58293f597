<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Routes;

use EmberDusk\Plan\DataLine;
use EmberDusk\Plan\DataOutput;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** The lead that takes data to a run: from the board, or from the run before it, whose last pixel repeats the data. */
final readonly class DataLead
{
    /**
     * @param  Run|null  $from  null for the board
     * @param  float|null  $metres  null if a position is unknown
     * @param  bool  $cored  whether the cable to the feed has cores for it
     */
    private function __construct(public ?Run $from, public Run $to, public ?float $metres, public bool $cored) {}

    /** How data reaches a run, as text: "C6: output 1, pixels 1 to 60; 2.30 m of lead from North"; empty without a pixel board. */
    public static function words(Plan $plan, Run $run): string
    {
        $outputs = DataOutput::ofRun($plan, $run);
        if ($outputs === []) {
            return '';
        }
        $label = strtoupper((string) $run->controller);
        $parts = array_map(static fn(DataOutput $o): string => $o->words($run->id), $outputs);
        foreach (DataLine::on($plan, (string) $run->controller) as $line) {
            foreach (self::of($plan, $line) as $lead) {
                if ($lead->to->id === $run->id) {
                    $parts[] = $lead->said($plan);
                }
            }
        }

        return "{$label}: " . implode('; ', $parts);
    }

    private function said(Plan $plan): string
    {
        $from = $this->begins();

        return match (true) {
            $this->metres === null => "lead from {$from} not measured",
            $this->cored => "{$plan->terms->say($this->metres)} from {$from}, in the feed’s cable",
            default => "{$plan->terms->say($this->metres)} of lead from {$from}",
        };
    }

    /** Metres of the lead that takes the data of a line to a run; null if not known. */
    public static function metres(Plan $plan, DataLine $line, Run $run): ?float
    {
        foreach (self::of($plan, $line) as $lead) {
            if ($lead->to->id === $run->id) {
                return $lead->metres;
            }
        }

        return null;
    }

    /**
     * Leads that are wires of their own, not cores of a feed's cable; those whose length is not known too.
     *
     * @return list<self>
     */
    public static function separate(Plan $plan): array
    {
        $leads = [];
        foreach ($plan->controllers as $board => $_) {
            foreach (DataLine::on($plan, (string) $board) as $line) {
                array_push($leads, ...self::of($plan, $line));
            }
        }

        return array_values(array_filter($leads, static fn(self $l): bool => !$l->cored));
    }

    /** The lead to a run that is a wire of its own; null where a cable has cores for it, or without a pixel board. */
    public static function separateTo(Plan $plan, string $run): ?self
    {
        $line = isset($plan->runs[$run]) ? DataLine::to($plan, $plan->run($run)) : null;
        foreach ($line === null ? [] : self::of($plan, $line) as $lead) {
            if ($lead->to->id === $run && !$lead->cored) {
                return $lead;
            }
        }

        return null;
    }

    /** Cores that it has: the strip's data wires and the return beside them, without which data arrives blurred. */
    public function wires(Plan $plan): int
    {
        return ($plan->strip($this->to->strip)->pixels->dataWires ?? 1) + 1;
    }

    /** Start of the lead, as text: "C6", or the name of a run. */
    public function begins(): string
    {
        return $this->from?->name() ?? strtoupper((string) $this->to->controller);
    }

    /** @return list<self> of a data line, in the order of the data */
    public static function of(Plan $plan, DataLine $line): array
    {
        $leads = [];
        $before = null;
        foreach ($line->runs as $id) {
            $run = $plan->run($id);
            $leads[] =
                $before === null
                    ? self::first($plan, $line, $run)
                    : new self(
                        $before,
                        $run,
                        CableWay::joining(
                            $plan,
                            CableWay::pad($plan, $before, $line->pad($plan, $before, leaves: true)),
                            CableWay::pad($plan, $run, $line->pad($plan, $run)),
                        )?->metres(),
                        false,
                    );
            $before = $run;
        }

        return $leads;
    }

    /**
     * Fewest cores on the way to a feed.
     *
     * @param  non-empty-array<LaidCable>  $way
     */
    private static function cores(Plan $plan, array $way): int
    {
        return min(array_map(static fn(LaidCable $c): int => $plan->cable($c->kit)->cores ?? 0, $way));
    }

    private static function first(Plan $plan, DataLine $line, Run $run): self
    {
        $pad = $line->pad($plan, $run);
        foreach ($plan->ways()->feedsOf($run) as $feed) {
            $way = $feed->pad === $pad ? $plan->ways()->wayTo($feed->id) : [];
            if ($way !== [] && $plan->ways()->root(array_values($way)[0]->from) === $line->board) {
                return new self(
                    null,
                    $run,
                    array_sum(array_map(static fn(LaidCable $c): float => $c->length, $way)),
                    self::cores($plan, $way) >= $plan->of($run)->cores(),
                );
            }
        }

        return new self(
            null,
            $run,
            CableWay::joining($plan, CableWay::where($plan, $line->board), CableWay::pad($plan, $run, $pad))?->metres(),
            false,
        );
    }
}
