<?php

declare(strict_types=1);

namespace EmberDusk\Reach;

/** Nodes that hear each other: how many hops to each, and which of them cut the rest off. */
final readonly class Graph
{
    /** @param  array<string, list<string>>  $hears  by node, both ways */
    public function __construct(private array $hears) {}

    /**
     * Hops to every node that is reached from one.
     *
     * @param  list<string>  $ends  nodes that pass nothing on
     * @return array<string, int>
     */
    public function hops(string $from, array $ends = []): array
    {
        $hops = [$from => 0];
        $next = [$from];
        while ($next !== []) {
            $at = array_shift($next);
            if ($at !== $from && in_array($at, $ends, true)) {
                continue;
            }
            foreach ($this->hears[$at] ?? [] as $node) {
                if (!isset($hops[$node])) {
                    $hops[$node] = $hops[$at] + 1;
                    $next[] = $node;
                }
            }
        }

        return $hops;
    }

    /**
     * Nodes whose loss splits a connected graph (articulation points; Tarjan, 1972), sorted.
     *
     * @return list<string>
     */
    public function cuts(): array
    {
        $order = $low = $cuts = [];
        $time = 0;
        foreach (array_keys($this->hears) as $root) {
            $root = (string) $root;
            if (isset($order[$root])) {
                continue;
            }
            $order[$root] = $low[$root] = $time++;
            $children = 0;
            // Node, the one before it, which neighbour comes next.
            $stack = [[$root, '', 0]];
            while ($stack !== []) {
                $top = count($stack) - 1;
                [$node, $parent, $n] = $stack[$top];
                $next = $this->hears[$node][$n] ?? null;
                if ($next === null) {
                    array_pop($stack);
                    if ($parent !== '') {
                        $low[$parent] = min($low[$parent], $low[$node]);
                        if ($parent !== $root && $low[$node] >= $order[$parent]) {
                            $cuts[$parent] = true;
                        }
                    }

                    continue;
                }
                $stack[$top][2]++;
                if (!isset($order[$next])) {
                    $children += (int) ($node === $root);
                    $order[$next] = $low[$next] = $time++;
                    $stack[] = [$next, $node, 0];
                } elseif ($next !== $parent) {
                    $low[$node] = min($low[$node], $order[$next]);
                }
            }
            if ($children > 1) {
                $cuts[$root] = true;
            }
        }
        $cuts = array_map(strval(...), array_keys($cuts));
        sort($cuts, SORT_NATURAL);

        return $cuts;
    }
}
