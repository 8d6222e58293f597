<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Kit\Strip;

/**
 * The pads of a run: section by section, N groups have N + 1 pads at 0, p, 2p …; a section's end rounds down.
 * Pads and groups are counted through the entire run.
 */
final readonly class CutMarks
{
    /**
     * @param  list<int>  $groups  groups of each section, none of them 0
     * @param  list<float>  $jumps  metres of lead after each section but the last
     */
    private function __construct(public float $pitch, public array $groups, public array $jumps) {}

    /** A section shorter than one group is left out; its leads are joined up. */
    public static function from(Run $run, Strip $strip): self
    {
        $groups = [];
        $jumps = [];
        $lead = 0.0;
        foreach ($run->sections as $n => $length) {
            $count = (int) floor($length / $strip->pitch + 1e-9);
            if ($n > 0) {
                $lead += $run->jumps[$n - 1];
            }
            if ($count > 0) {
                if ($groups !== []) {
                    $jumps[] = $lead;
                }
                $groups[] = $count;
                $lead = 0.0;
            }
        }

        return new self($strip->pitch, $groups, $jumps);
    }

    public function groupCount(): int
    {
        return array_sum($this->groups);
    }

    public function lastPad(): int
    {
        return $this->groupCount() + count($this->groups) - 1;
    }

    /** Metres of lit strip. */
    public function length(): float
    {
        return $this->groupCount() * $this->pitch;
    }

    /** Metres of strip from the run's start to a pad. */
    public function position(int $pad): float
    {
        $before = 0;
        foreach ($this->groups as $count) {
            if ($pad <= $count) {
                break;
            }
            // The next section's first pad is at the same metre of strip as this one's last.
            $pad -= $count + 1;
            $before += $count;
        }

        return ($before + $pad) * $this->pitch;
    }

    /**
     * Both pads at a joint of two sections within so many metres of a pad, else the pad alone.
     *
     * @return array<int, float> metres of lead across the joint to each, by pad
     */
    public function facing(int $pad, float $within): array
    {
        $last = -1;
        foreach ($this->jumps as $section => $jump) {
            $last += $this->groups[$section] + 1;
            if (abs($this->position($last) - $this->position($pad)) <= $within) {
                return $pad <= $last ? [$last => 0.0, $last + 1 => $jump] : [$last => $jump, $last + 1 => 0.0];
            }
        }

        return [$pad => 0.0];
    }

    /** The pad nearest to so many metres from the start; halves go towards the start. */
    public function nearest(float $metres): int
    {
        $mark = (int) ceil($metres / $this->pitch - 0.5 - 1e-9);
        $mark = max(0, min($this->groupCount(), $mark));
        $pad = $mark;
        $before = 0;
        foreach ($this->groups as $count) {
            $before += $count;
            if ($mark <= $before) {
                return $pad;
            }
            $pad++;
        }

        return $this->lastPad();
    }
}
