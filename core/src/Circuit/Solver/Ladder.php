<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

use EmberDusk\Circuit\Stretch;

/**
 * The inside of a stretch in the volts between + and each return, its unknowns D (one a channel and group).
 *
 * On uniform rails the sum of all rail currents is the same everywhere along a stretch, so the differences alone
 * balance against the loads: (Y/l)(D before - D) - (Y/l')(D - D after) = I(D), with Y = diag(1/rc) - (1/rc)(1/rc)^T / G,
 * G the sum of 1/r over all rails. What all rails carry together is linear and stays with the solver of the hubs.
 */
abstract class Ladder
{
    /** Siemens metre: Y on its diagonal and off it, the same for every channel because all returns have one rail. */
    protected readonly float $own;

    protected readonly float $other;

    /** Siemens between two groups and between a pad and its group: multiples of Y. */
    protected readonly float $perPitch;

    protected readonly float $perHalf;

    public static function for(Stretch $stretch): self
    {
        return match ($stretch->channels()) {
            1 => new ScalarLadder($stretch),
            2 => new PairLadder($stretch),
            3, 4 => new QuadLadder($stretch),
            default => new BlockLadder($stretch),
        };
    }

    final protected function __construct(public readonly Stretch $stretch)
    {
        $n = $stretch->channels();
        $g = 1 / $stretch->returnRail;
        $total = 1 / $stretch->plusRail + $n * $g;
        $this->own = $g - ($g * $g) / $total;
        $this->other = (-$g * $g) / $total;
        $this->perPitch = 1 / $stretch->pitch;
        $this->perHalf = 2 / $stretch->pitch;
    }

    /**
     * Starts from D at the two pads, linear in between.
     *
     * @param  list<float>  $start
     * @param  list<float>  $end
     */
    abstract public function begin(array $start, array $end): void;

    /**
     * Loads and residuals at the present D moved by that much of the step.
     *
     * @param  list<float>  $start  D at the pad before, moved likewise
     * @param  list<float>  $end
     */
    abstract public function evaluate(float $part, array $start, array $end): void;

    /** Takes the moved D for the present one. */
    abstract public function accept(): void;

    /** Linearises and eliminates the groups. */
    abstract public function condense(): CondensedStretch;

    /**
     * The step of the groups from the steps of the pads.
     *
     * @param  list<float>  $start
     * @param  list<float>  $end
     */
    abstract public function expand(array $start, array $end): void;

    /** Sum of residual times step: how the co-content changes along the step, negated. */
    abstract public function descent(): float;

    /** Largest residual, amps. */
    abstract public function residual(): float;

    /** Largest step, volts. */
    abstract public function step(): float;

    /** @return list<float> amps from the pad before into the stretch, a channel each, at the moved D */
    abstract public function startAmps(): array;

    /** @return list<float> amps from the pad after into the stretch */
    abstract public function endAmps(): array;

    /** @return non-empty-list<list<float>> D by channel and group */
    abstract public function differences(): array;

    /** @return non-empty-list<list<float>> load amps by channel and group */
    abstract public function amps(): array;

    /**
     * The largest size among the numbers.
     *
     * @param  list<float>  ...$lists
     */
    final protected static function largest(array ...$lists): float
    {
        $most = 0.0;
        foreach ($lists as $list) {
            if ($list !== []) {
                $most = max(max($list), -min($list), $most);
            }
        }

        return $most;
    }
}
