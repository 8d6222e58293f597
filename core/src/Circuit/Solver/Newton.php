<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

use EmberDusk\Circuit\Network;
use EmberDusk\Circuit\Solution;
use EmberDusk\Circuit\Stretch;
use EmberDusk\Workings\Trouble;

/**
 * Finds the volts of a network: Newton on its convex co-content, solved for corrections from the residual currents,
 * halved while the co-content would rise steeply at the step's end.
 *
 * Each iteration condenses every stretch to its two pads and solves pads and hubs sparsely.
 */
final class Newton
{
    private const MOST = 60;

    /** Amps and volts where it stops. */
    private const RESIDUAL = 1e-7;

    private const STEP = 1e-9;

    /** Siemens that a supply's slope is never taken below when a direction is looked for. */
    private const TRACE = 1e-3;

    /** @var list<Ladder> */
    private array $ladders = [];

    private readonly SymmetricFactor $factor;

    /** @var array<int, float> volts of the hubs */
    private array $volts;

    /** @var array<int, float> */
    private array $step;

    /** @var array<int, float> amps out of each hub into what hangs on it, at the moved volts */
    private array $out = [];

    private function __construct(private readonly Network $network)
    {
        $this->volts = $network->guesses;
        $this->step = array_fill(0, count($this->volts), 0.0);
        $pairs = [];
        foreach ($network->resistors as $r) {
            $pairs[] = [$r->from, $r->to];
        }
        foreach ($network->sources as $source) {
            $pairs[] = [$source->plus, $source->minus];
        }
        foreach ($network->stretches as $s) {
            $terminals = [...$s->start, ...$s->end];
            foreach ($terminals as $a) {
                foreach ($terminals as $b) {
                    $pairs[] = [$a, $b];
                }
            }
            $ladder = Ladder::of($s);
            $ladder->begin($this->difference($s->start, $this->volts), $this->difference($s->end, $this->volts));
            $this->ladders[] = $ladder;
        }
        $this->factor = new SymmetricFactor(range(1, count($this->volts) - 1), array_values(array_filter($pairs, static fn (array $p): bool => $p[0] > 0 && $p[1] > 0)));
    }

    /** @throws Trouble when no solution is found */
    public static function solve(Network $network): Solution
    {
        // Nothing here is part of a circle, and the collector would look through every row of every ladder again and again.
        $collecting = gc_enabled();
        gc_disable();
        try {
            return self::solved($network);
        } finally {
            if ($collecting) {
                gc_enable();
            }
        }
    }

    /** @throws Trouble */
    private static function solved(Network $network): Solution
    {
        $newton = new self($network);
        $newton->evaluate(0.0);
        $move = INF;
        for ($n = 0; $n < self::MOST; $n++) {
            if ($newton->residual() < self::RESIDUAL && $move < self::STEP) {
                return new Solution($network, $newton->volts, $newton->ladders, $n);
            }
            $newton->direction();
            $move = $newton->advance();
        }

        throw new Trouble(sprintf('The circuit was not solved in %d rounds; %.3g A are still out of balance. Check volts and resistances for a slip.',
            self::MOST, $newton->residual()));
    }

    /** Finds the step of every unknown. */
    private function direction(): void
    {
        $this->factor->clear();
        $right = array_map(static fn (float $out): float => -$out, $this->out);
        foreach ($this->network->resistors as $r) {
            $this->conductance($r->from, $r->to, 1 / $r->ohms);
        }
        foreach ($this->network->sources as $source) {
            // Deep in its limit a supply holds no volts, and pixels above theirs hold none either: a trace of slope keeps
            // the direction downhill. Residuals are exact, so what is found is not touched by it.
            $this->conductance($source->plus, $source->minus, max(self::TRACE, $source->at($this->volts[$source->plus] - $this->volts[$source->minus])[1]));
        }
        foreach ($this->ladders as $ladder) {
            $this->stamp($ladder, $right);
        }
        $step = $this->factor->solve($right);
        $step[0] = 0.0;
        $this->step = $step;
        foreach ($this->ladders as $ladder) {
            $ladder->expand($this->difference($ladder->stretch->start, $this->step), $this->difference($ladder->stretch->end, $this->step));
        }
    }

    /** Goes along the step as far as the co-content allows; returns the largest move in volts. */
    private function advance(): float
    {
        $fall = abs($this->slope());
        $part = 1.0;
        $this->evaluate($part);
        // The co-content is convex: a slope at the end that still falls, or rises less than half as steeply as it fell
        // at the start, is progress. Anything steeper has jumped across the valley.
        for ($n = 0; $n < 50 && $this->slope() > 0.5 * $fall + 1e-18; $n++) {
            $part /= 2;
            $this->evaluate($part);
        }
        $most = 0.0;
        foreach ($this->step as $n => $step) {
            $this->volts[$n] += $part * $step;
            $most = max($most, abs($part * $step));
        }
        foreach ($this->ladders as $ladder) {
            $ladder->accept();
            $most = max($most, $part * $ladder->step());
        }

        return $most;
    }

    /** How the co-content changes along the step, at the moved volts. */
    private function slope(): float
    {
        $sum = 0.0;
        foreach ($this->out as $n => $out) {
            $sum += $out * $this->step[$n];
        }
        foreach ($this->ladders as $ladder) {
            $sum -= $ladder->descent();
        }

        return $sum;
    }

    private function residual(): float
    {
        $most = 0.0;
        foreach ($this->out as $out) {
            $most = max($most, abs($out));
        }
        foreach ($this->ladders as $ladder) {
            $most = max($most, $ladder->residual());
        }

        return $most;
    }

    /** Residual currents at the volts moved by so much of the step. */
    private function evaluate(float $part): void
    {
        $volts = $this->volts;
        foreach ($this->step as $n => $step) {
            $volts[$n] += $part * $step;
        }
        $out = array_fill(0, count($volts), 0.0);
        foreach ($this->network->resistors as $r) {
            $amps = ($volts[$r->from] - $volts[$r->to]) / $r->ohms;
            $out[$r->from] += $amps;
            $out[$r->to] -= $amps;
        }
        foreach ($this->network->sources as $source) {
            $amps = $source->at($volts[$source->plus] - $volts[$source->minus])[0];
            $out[$source->plus] -= $amps;
            $out[$source->minus] += $amps;
        }
        foreach ($this->network->draws as $draw) {
            $out[$draw->plus] += $draw->amps;
            $out[$draw->minus] -= $draw->amps;
        }
        foreach ($this->ladders as $ladder) {
            $s = $ladder->stretch;
            $ladder->evaluate($part, $this->difference($s->start, $volts), $this->difference($s->end, $volts));
            foreach (Terminals::amps($ladder, $volts) as $node => $amps) {
                $out[$node] += $amps;
            }
        }
        $out[0] = 0.0;
        $this->out = $out;
    }

    /** @param  array<int, float>  $right */
    private function stamp(Ladder $ladder, array &$right): void
    {
        $s = $ladder->stretch;
        $c = $ladder->condense();
        $this->block($s->start, $s->start, $c->startStart);
        $this->block($s->end, $s->end, $c->endEnd);
        $this->block($s->start, $s->end, $c->startEnd, true);
        foreach ([[$s->start, $c->start], [$s->end, $c->end]] as [$terminals, $amps]) {
            foreach ($amps as $n => $a) {
                $right[$terminals[0]] += $a;
                $right[$terminals[$n + 1]] -= $a;
            }
        }
        $common = $s->commonConductance();
        $w = $s->weights();
        foreach ($w as $a => $wa) {
            foreach ($w as $b => $wb) {
                $this->place($s->start[$a], $s->start[$b], $common * $wa * $wb);
                $this->place($s->end[$a], $s->end[$b], $common * $wa * $wb);
                $this->place($s->start[$a], $s->end[$b], -$common * $wa * $wb, true);
            }
        }
    }

    /**
     * Puts a matrix in differences (+ less return) onto terminals.
     *
     * @param  list<int>  $rows
     * @param  list<int>  $columns
     * @param  list<list<float>>  $matrix
     */
    private function block(array $rows, array $columns, array $matrix, bool $between = false): void
    {
        foreach ($matrix as $c => $row) {
            foreach ($row as $d => $value) {
                $this->place($rows[0], $columns[0], $value, $between);
                $this->place($rows[0], $columns[$d + 1], -$value, $between);
                $this->place($rows[$c + 1], $columns[0], -$value, $between);
                $this->place($rows[$c + 1], $columns[$d + 1], $value, $between);
            }
        }
    }

    /** One number of the symmetric matrix; inside one pad both ways round come by themselves, so only one half is kept. */
    private function place(int $a, int $b, float $value, bool $between = false): void
    {
        if ($a > 0 && $b > 0 && ($between || $a <= $b)) {
            $this->factor->add($a, $b, $value);
        }
    }

    private function conductance(int $a, int $b, float $siemens): void
    {
        $this->place($a, $a, $siemens);
        $this->place($b, $b, $siemens);
        $this->place($a, $b, -$siemens, true);
    }

    /**
     * @param  non-empty-list<int>  $terminals
     * @param  array<int, float>  $values
     * @return list<float>
     */
    private function difference(array $terminals, array $values): array
    {
        return Terminals::differences($terminals, $values);
    }
}
