<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Values\NoSolution;

/** A network as SPICE text. Nodes inside a load are called x_…; every other one but 0 is in the solution too. */
final readonly class Netlist
{
    /** @param  list<Network>  $islands */
    public static function write(string $title, array $islands): string
    {
        $lines = ['* ' . preg_replace('/[^\x20-\x7e]/', '?', $title)];
        $models = [];
        foreach ($islands as $network) {
            $name = static fn(int $node): string => $network->nodes[$node];
            foreach ($network->sources as $source) {
                array_push($lines, ...$source->netlist($name($source->plus), $name($source->minus)));
            }
            foreach ($network->resistors as $r) {
                $lines[] = sprintf('R_%s %s %s %.12g', $r->name, $name($r->from), $name($r->to), $r->ohms);
            }
            foreach ($network->draws as $draw) {
                $lines[] = sprintf(
                    'I_%s %s %s %.12g',
                    $draw->name,
                    $name($draw->plus),
                    $name($draw->minus),
                    $draw->amps,
                );
            }
            foreach ($network->points as $point) {
                array_push($lines, ...$point->load->netlist($point->name, $name($point->plus), $name($point->minus)));
            }
            foreach ($network->stretches as $stretch) {
                self::stretch($stretch, $network, $lines, $models);
            }
            array_push($lines, ...self::starts($network));
        }

        return implode("\n", [
            ...$lines,
            ...array_keys($models),
            '.options reltol=1e-6 vntol=1e-9 itl1=500 numdgt=12 temp=27',
            '.op',
            '.end',
        ]) . "\n";
    }

    /**
     * Start values for a simulator at pads and fixtures: behind a supply in its limit the EMF is far from any solution. Without a solution the EMF
     * is used.
     *
     * @return list<string>
     */
    private static function starts(Network $network): array
    {
        try {
            $solution = Newton::solve($network);
            $volt = $solution->volt(...);
        } catch (NoSolution) {
            $volt = static fn(int $node): float => $network->guesses[$node];
        }
        $nodes = array_merge(
            ...array_map(static fn(Stretch $s): array => [...$s->start, ...$s->end], $network->stretches),
            ...array_map(static fn(FixtureGroup $p): array => [$p->plus, $p->minus], $network->points),
        );
        $lines = [];
        foreach (array_unique($nodes) as $node) {
            if ($node !== 0) {
                $lines[] = sprintf('.nodeset V(%s)=%.6g', $network->nodes[$node] ?? '', $volt($node));
            }
        }

        return $lines;
    }

    /**
     * @param  list<string>  $lines
     * @param  array<string, true>  $models
     */
    private static function stretch(Stretch $s, Network $network, array &$lines, array &$models): void
    {
        foreach ($s->loads as $load) {
            if (($model = $load->modelLine()) !== null) {
                $models[$model] = true;
            }
        }
        for ($t = 0; $t <= $s->channels(); $t++) {
            $rail = $t === 0 ? $s->plusRail : $s->returnRail;
            for ($g = 0; $g <= $s->groups; $g++) {
                $from = $g === 0 ? $network->nodes[$s->start[$t]] : $s->node($g - 1, $t);
                $to = $g === $s->groups ? $network->nodes[$s->end[$t]] : $s->node($g, $t);
                $length = $s->pitch * ($g === 0 || $g === $s->groups ? 0.5 : 1.0);
                $lines[] = sprintf('R_rail_%s %s %s %.12g', $to, $from, $to, $rail * $length);
            }
        }
        foreach ($s->loads as $c => $load) {
            for ($g = 0; $g < $s->groups; $g++) {
                array_push($lines, ...$load->netlist($s->node($g, $c + 1), $s->node($g, 0), $s->node($g, $c + 1)));
            }
        }
    }
}
