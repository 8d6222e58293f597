<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Joining\Roster;
use EmberDusk\Reach\Graph;
use EmberDusk\Reach\PathLoss;

/** Best place for one more relay node: half way between two that cannot reach each other. */
final readonly class OneMore
{
    private const NEW = '+';

    /**
     * @param  array<string, list<string>>  $hears
     * @param  list<string>  $ends  what passes nothing on
     */
    public function __construct(private Roster $roster, private array $hears, private array $ends) {}

    /**
     * Between one that is reached and one that is not: how many more are reached then.
     *
     * @param  array<string, int>  $hops
     * @param  list<string>  $lost
     * @return HelpingNode|null null where none helps
     */
    public function reaching(string $from, array $hops, array $lost): ?HelpingNode
    {
        $best = null;
        foreach (array_diff(array_keys($hops), $this->ends) as $near) {
            foreach ($lost as $far) {
                if (!$this->between($near, $far)) {
                    continue;
                }
                $gained = count((new Graph($this->joined($near, $far)))->hops($from, $this->ends)) - 1 - count($hops);
                if ($best === null || $gained > $best->count) {
                    $best = new HelpingNode($near, $far, $gained);
                }
            }
        }

        return $best;
    }

    /**
     * Between two that are connected through one node only: the number of such nodes left then.
     *
     * @param  list<string>  $cuts
     * @param  callable(array<string, list<string>>): list<string>  $count
     * @return HelpingNode|null null where none helps
     */
    public function steadying(array $cuts, callable $count): ?HelpingNode
    {
        $best = null;
        foreach ($cuts as $cut) {
            $pair = $this->parted($cut);
            if ($pair === null) {
                continue;
            }
            $left = count($count($this->joined(...$pair)));
            if ($left < ($best->count ?? count($cuts))) {
                $best = new HelpingNode($pair[0], $pair[1], $left);
            }
        }

        return $best;
    }

    /**
     * The nearest two neighbours of a node that do not hear each other without it.
     *
     * @return array{string, string}|null
     */
    private function parted(string $cut): ?array
    {
        $without = array_map(
            static fn(array $others): array => array_values(array_diff($others, [$cut])),
            array_diff_key($this->hears, [$cut => true]),
        );
        $near = array_values(array_diff($this->hears[$cut] ?? [], $this->ends));
        $best = null;
        foreach ($near as $n => $one) {
            $reached = (new Graph($without))->hops($one, $this->ends);
            foreach (array_slice($near, $n + 1) as $other) {
                $metres = $this->roster->metres($one, $other);
                if (!isset($reached[$other]) && $this->between($one, $other) && $metres < ($best[2] ?? INF)) {
                    $best = [$one, $other, $metres];
                }
            }
        }

        if ($best === null) {
            return null;
        }

        return [$best[0], $best[1]];
    }

    /** Whether a node half way hears both. The floors between them are on one side of it or the other. */
    private function between(string $one, string $other): bool
    {
        return PathLoss::spare($this->roster->metres($one, $other) / 2, $this->roster->floors($one, $other)) >=
            PathLoss::MARGIN;
    }

    /** @return array<string, list<string>> */
    private function joined(string $one, string $other): array
    {
        $more = $this->hears;
        foreach ([$one, $other] as $node) {
            $more[$node][] = self::NEW;
            $more[self::NEW][] = $node;
        }

        return $more;
    }
}
