<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Channels;

/**
 * Wiring cases that remain possible after commanded colours and their observed result, and the most informative next colour. No colour is asked
 * twice. It stops once one class is left: no decision tree is shallower in its worst case.
 */
final readonly class ChannelFinder
{
    /**
     * @param  list<Explanation>  $left  what fits every answer; none when they contradict each other
     * @param  list<int>  $asked  colours that were commanded
     */
    private function __construct(public array $left, public array $asked, private int $colours) {}

    /**
     * @param  list<Explanation>  $space  at least one
     * @param  array<int, int>  $seen  colours that lit, by the one that was commanded
     */
    public static function from(array $space, array $seen): self
    {
        $left = array_values(
            array_filter($space, static function (Explanation $e) use ($seen): bool {
                foreach ($seen as $commanded => $colours) {
                    if (($e->shows[$commanded] ?? null) !== $colours) {
                        return false;
                    }
                }

                return true;
            }),
        );

        return new self($left, array_keys($seen), count($space[0]->shows ?? []));
    }

    /** The one class that is left; null while there are several, or none. */
    public function found(): ?Explanation
    {
        if (count($this->left) === 1) {
            return $this->left[0];
        }

        return null;
    }

    /** The colour to command next: the one whose answers part the rest most evenly; null when nothing is left to ask. */
    public function next(): ?int
    {
        if (count($this->left) < 2) {
            return null;
        }
        $best = null;
        $most = -1.0;
        foreach (array_diff(range(0, $this->colours - 1), $this->asked) as $colour) {
            $bits = $this->information($colour);
            if ($bits > $most + 1e-9) {
                [$best, $most] = [$colour, $bits];
            }
        }

        return $best;
    }

    /** Bits that commanding a colour is expected to tell. */
    private function information(int $colour): float
    {
        $by = [];
        foreach ($this->left as $e) {
            $by[$e->shows[$colour]] = ($by[$e->shows[$colour]] ?? 0.0) + $e->weight();
        }
        $all = array_sum($by);

        return -array_sum(array_map(static fn(float $w): float => ($w / $all) * log($w / $all, 2), $by));
    }
}
