<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

use EmberDusk\Circuit\Network;
use EmberDusk\Circuit\Solution;
use EmberDusk\Values\NoSolution;
use EmberDusk\Values\Refusal;

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

    /** Volts of a step, and share of the one before it, below which steps shrink by the square. */
    private const CLOSE = [1e-5, 0.01];

    /** Siemens that a supply's slope is never taken below when a direction is looked for. */
    private const TRACE = 1e-3;

    /** Share of their power that fixtures are raised by at first, and below which a step is no step. */
    private const RAISE = [0.25, 1 / 4096];

    /** A step that leaves a fixture less of its volts than this has left the branch. */
    private const FALL = 0.8;

    /** Share of their power that fixtures take now. */
    private float $power = 0.0;

    /** Of the last step taken. */
    private float $part = 1.0;

    /** @var list<Ladder> */
    private array $ladders = [];

    private SymmetricFactor $factor;

    private Stamps $stamps;

    /** @var array<int, float> volts of the hubs */
    private array $volts;

    /** @var array<int, float> */
    private array $step;

    /** @var array<int, float> amps out of each hub into its loads, at the moved volts */
    private array $out = [];

    private function __construct(private readonly Network $network)
    {
        $this->volts = $network->guesses;
        $this->step = array_fill(0, count($this->volts), 0.0);
        foreach ($network->stretches as $s) {
            $ladder = Ladder::for($s);
            $ladder->begin(
                Terminals::differences($s->start, $this->volts),
                Terminals::differences($s->end, $this->volts),
            );
            $this->ladders[] = $ladder;
        }
        $this->factor = new SymmetricFactor(range(1, count($this->volts) - 1), Stamps::pairs($network));
        $this->stamps = new Stamps($this->factor);
    }

    /** @throws Refusal when no solution is found */
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

    /**
     * Constant power is raised from 0 in steps, each halved on failure: this stays on the valid branch. Beyond its fold no step is small enough.
     *
     * @throws Refusal
     */
    private static function solved(Network $network): Solution
    {
        $newton = new self($network);
        $rounds = $newton->settle();
        if ($network->points === []) {
            return new Solution($network, $newton->volts, $newton->ladders, $rounds);
        }
        for ($step = self::RAISE[0]; $newton->power < 1.0; ) {
            $last = clone $newton;
            try {
                $newton->power = min(1.0, $newton->power + $step);
                $rounds += $newton->settle();
                $fell = $newton->fell($last);
            } catch (NoSolution) {
                $fell = true;
            }
            [$newton, $step] = $fell ? [$last, $step / 2] : [$newton, $step];
            if ($step < self::RAISE[1]) {
                throw Collapse::for($network->points, $newton->volts, $newton->power);
            }
        }

        return new Solution($network, $newton->volts, $newton->ladders, $rounds);
    }

    private function __clone()
    {
        $this->ladders = array_map(static fn(Ladder $l): Ladder => clone $l, $this->ladders);
    }

    /** Whether the volts of some fixture jumped: small steps of power make small steps of volts until the branch ends. */
    private function fell(self $before): bool
    {
        foreach ($this->network->points as $p) {
            if (self::FALL * $p->across($before->volts) > $p->across($this->volts)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Goes on from where it stands until it rests.
     *
     * @return int rounds
     *
     * @throws Refusal
     */
    private function settle(): int
    {
        $this->step = array_fill(0, count($this->volts), 0.0);
        $this->evaluate(0.0);
        $before = $move = INF;
        for ($n = 0; $n < self::MOST; $n++) {
            if ($this->residual() < self::RESIDUAL && min($move, 1000 * $this->next($before, $move)) < self::STEP) {
                return $n;
            }
            $this->direction();
            [$before, $move] = [$move, $this->advance()];
        }

        throw new NoSolution(
            sprintf(
                'The circuit was not solved in %d rounds; %.3g A are still out of balance. Check volts and resistances for a slip.',
                self::MOST,
                $this->residual(),
            ),
        );
    }

    /** Predicted size of the next step: near the solution full steps shrink quadratically. INF until that shows. */
    private function next(float $before, float $move): float
    {
        $shrinks = $this->part === 1.0 && $move < min(self::CLOSE[0], self::CLOSE[1] * $before);

        if ($shrinks) {
            return $move * ($move / $before) ** 2;
        }

        return INF;
    }

    /** Finds the step of every unknown. */
    private function direction(): void
    {
        $this->factor->clear();
        $right = array_map(static fn(float $out): float => -$out, $this->out);
        foreach ($this->network->resistors as $r) {
            $this->stamps->conductance($r->from, $r->to, 1 / $r->ohms);
        }
        foreach ($this->network->sources as $source) {
            // Deep in its limit a supply does not hold its volts, and pixels above theirs do not either: a small slope keeps the direction downhill.
            // Residuals are exact, so the solution is not affected.
            $this->stamps->conductance(
                $source->plus,
                $source->minus,
                max(self::TRACE, $source->at($this->volts[$source->plus] - $this->volts[$source->minus])[1]),
            );
        }
        foreach ($this->network->points as $p) {
            $this->stamps->conductance($p->plus, $p->minus, $this->power * $p->load->at($p->across($this->volts))[1]);
        }
        foreach ($this->ladders as $ladder) {
            $this->stamps->stretch($ladder, $right);
        }
        $step = $this->factor->solve($right);
        $step[0] = 0.0;
        $this->step = $step;
        foreach ($this->ladders as $ladder) {
            $ladder->expand(
                Terminals::differences($ladder->stretch->start, $this->step),
                Terminals::differences($ladder->stretch->end, $this->step),
            );
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
        [$this->part, $most] = [$part, 0.0];
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

    /** Residual currents at the volts moved by that much of the step. */
    private function evaluate(float $part): void
    {
        $volts = $this->volts;
        foreach ($this->step as $n => $step) {
            $volts[$n] += $part * $step;
        }
        $out = HubCurrents::for($this->network, $volts, $this->power);
        foreach ($this->ladders as $ladder) {
            $s = $ladder->stretch;
            $ladder->evaluate(
                $part,
                Terminals::differences($s->start, $volts),
                Terminals::differences($s->end, $volts),
            );
            foreach (Terminals::amps($ladder, $volts) as $node => $amps) {
                $out[$node] += $amps;
            }
        }
        $out[0] = 0.0;
        $this->out = $out;
    }
}
