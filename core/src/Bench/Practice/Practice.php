<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Practice;

use EmberDusk\Bench\BenchSolver;
use EmberDusk\Bench\Channels\LeadConnection;
use EmberDusk\Bench\Channels\Pixels;
use EmberDusk\Bench\Count\CountFinder;
use EmberDusk\Bench\Faults\Fault;
use EmberDusk\Bench\Faults\FaultDraw;
use EmberDusk\Bench\Faults\FaultKind;
use EmberDusk\Bench\Faults\SimulatedMeter;
use EmberDusk\Bench\Log\BenchFacts;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpots;
use EmberDusk\Bench\Meter\RunParts;
use EmberDusk\Bench\PixelCount;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;

/**
 * A job with hidden faults; simulated lamps and meter respond for it. A fault fixed under the right name is gone; any other fix changes nothing.
 */
final readonly class Practice
{
    /** @param  list<HiddenFault>  $faults */
    private function __construct(
        private Plan $plan,
        private BenchFacts $facts,
        private BenchSolver $solver,
        private array $faults,
        private int $seed,
    ) {}

    /**
     * @param  list<string>  $faults  as {@see HiddenFault}; none to draw one for each island by seed
     *
     * @throws InvalidInput when one of them is none
     */
    public static function for(Plan $plan, BenchFacts $facts, BenchSolver $solver, array $faults, int $seed): self
    {
        return new self($plan, $facts, $solver, array_map(HiddenFault::read(...), $faults), $seed);
    }

    /** @return list<string> faults by seed: in each island one, or leads that are moved */
    public static function drawn(Plan $plan, int $seed): array
    {
        $faults = [];
        foreach (Island::all($plan) as $n => $island) {
            $runs = array_values($island->parts);
            if ($runs === []) {
                continue;
            }
            $run = $runs[$seed % count($runs)]->run;
            $name = FaultDraw::name($plan, $island, $run, $seed + $n);
            if ($name !== null) {
                $faults[] = $name;
            }
        }

        return $faults;
    }

    /** Lit colours when one colour, from 0, is commanded alone. */
    public function colour(string $run, int $colour): int
    {
        $kind = $this->plan->strip($this->plan->run($run)->strip)?->colours() ?? 'single';
        $way = $this->way($run);

        return match (true) {
            $way instanceof LeadConnection => $way->shows($colour, $kind),
            $way instanceof Pixels => $way->shows($colour),
            default => 1 << $colour,
        };
    }

    /** The last pixel that lights with a count that is set. */
    public function count(string $run, int $set): int
    {
        $sections = PixelCount::sections($this->plan, $this->plan->run($run));
        $all = array_sum($sections);
        foreach ($this->standing() as $fault) {
            [$of, $piece] = explode(':', $fault->place . ':1');
            if ($of === $run && $fault->kind === FaultKind::Data->value) {
                return min($set, array_sum(array_slice($sections, 0, (int) $piece - 1)));
            }
            if ($of === $run && $fault->kind === FaultKind::Kind->value) {
                return (int) floor(0.75 * min($set, $all));
            }
        }
        $way = $this->way($run);
        if ($way instanceof Pixels && $way->wrongKind) {
            return (int) floor(0.75 * min($set, $all));
        }

        if ($set > $all) {
            return CountFinder::OFF_THE_END;
        }

        return $set;
    }

    /**
     * The meter reading.
     *
     * @throws InvalidInput when there is no such place
     * @throws \EmberDusk\Values\Refusal when the faulty circuit has no solution
     */
    public function read(Island $island, string $spot, MeterCommand $command): float
    {
        $meter = new SimulatedMeter($this->plan, $island, $this->wiring($island), $this->seed);

        return $meter->read(MeterSpots::named($this->plan, $island, $spot), $command)->value;
    }

    /** Whether everything was found and fixed. */
    public function whole(): bool
    {
        return $this->standing() === [];
    }

    /** @return list<Fault> */
    private function wiring(Island $island): array
    {
        $faults = [];
        foreach ($this->standing() as $fault) {
            $run = $fault->way === null ? RunParts::run($this->plan, $island, explode(':', $fault->place)[0]) : null;
            if ($run !== null) {
                $predictions = $this->solver->predictions($this->plan, $island, $run);
                $put = (new FaultDraw($predictions))->named($fault->name, $this->seed);
                if ($put !== null) {
                    $faults[] = $put;
                }
            }
        }

        return $faults;
    }

    private function way(string $run): LeadConnection|Pixels|null
    {
        foreach ($this->standing() as $fault) {
            if ($fault->place === $run && $fault->way !== null) {
                return $fault->way;
            }
        }

        return null;
    }

    /** @return list<HiddenFault> that are not fixed yet */
    private function standing(): array
    {
        $mended = [];
        foreach ($this->facts->entries as $e) {
            if ($e->kind === 'mend') {
                $mended[$e->command] = ($mended[$e->command] ?? 0) + 1;
            }
        }
        $standing = [];
        foreach ($this->faults as $fault) {
            $times = $mended[$this->class($fault)] ?? 0;
            $way = $fault->way;
            if ($way instanceof LeadConnection && $way->setting !== null && $times === 1) {
                // The switch was set; the leads are unchanged.
                $left = new LeadConnection($way->order, $way->loose, $way->short);
                if ($left->faults() !== 0) {
                    $standing[] = $fault->with($left);
                }
            } elseif ($times === 0) {
                $standing[] = $fault;
            }
        }

        return $standing;
    }

    private function class(HiddenFault $fault): string
    {
        $kind = FaultKind::tryFrom($fault->kind);

        return ($kind?->class() ?? $fault->kind) . '@' . $fault->place;
    }
}
