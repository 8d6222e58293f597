<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Meter;

use EmberDusk\Circuit\Network;
use EmberDusk\Circuit\Solution;
use EmberDusk\Circuit\Stretch;

/** Reading of an ideal meter at a spot of a solved network. */
final class Readout
{
    /** @var array<string, int> nodes by name */
    private array $nodes;

    /** @var array<string, int> resistors by name */
    private array $resistors = [];

    /** @var array<int, array<int, list<float>>> volts of groups, by stretch and channel */
    private array $groups = [];

    /** @param  array<int, int>  $counts  groups that a stretch had before it was lumped */
    public function __construct(
        private readonly Network $network,
        private readonly Solution $solution,
        private readonly array $counts,
    ) {
        $this->nodes = array_flip($network->nodes);
        foreach ($network->resistors as $n => $r) {
            $this->resistors[$r->name] = $n;
        }
    }

    /** Volts or amps; null where nothing conducts there now. */
    public function at(MeterSpot $spot): ?float
    {
        $value = $this->value($spot);

        if ($value === null) {
            return null;
        }

        return $spot->sign * $value;
    }

    private function value(MeterSpot $spot): ?float
    {
        if ($spot->pad !== null) {
            return $this->pad($spot->pad->run, $spot->pad->at, $spot->pad->channel);
        }
        if ($spot->nodes !== null) {
            $plus = $this->nodes[$spot->nodes[0]] ?? null;
            $minus = $this->nodes[$spot->nodes[1]] ?? null;

            if ($plus === null || $minus === null) {
                return null;
            }

            return $this->solution->volt($plus) - $this->solution->volt($minus);
        }
        foreach ($this->network->sources as $source) {
            if ($source->name === $spot->through) {
                return $this->solution->delivered($source);
            }
        }
        if ($spot->along !== []) {
            return $this->along($spot->along);
        }
        $r = $this->network->resistors[$this->resistors[$spot->through ?? ''] ?? -1] ?? null;

        if ($r === null) {
            return null;
        }

        return $this->solution->amps($r);
    }

    /** @param  list<string>  $along */
    private function along(array $along): ?float
    {
        $volts = 0.0;
        foreach ($along as $name) {
            $r = $this->network->resistors[$this->resistors[$name] ?? -1] ?? null;
            if ($r === null) {
                return null;
            }
            $volts += $this->solution->volt($r->from) - $this->solution->volt($r->to);
        }

        return $volts;
    }

    /** Volts from + to a channel's return at a pad: no current leaves there, so halves of rail on both sides fall alike. */
    private function pad(string $run, float $at, int $channel): ?float
    {
        foreach ($this->network->stretches as $n => $stretch) {
            $count = $this->counts[$n];
            if ($stretch->run === $run && $at >= $stretch->first - 1e-9 && $at <= $stretch->first + $count + 1e-9) {
                return $this->inside($n, $stretch, ($at - $stretch->first) / $count, $channel);
            }
        }

        return null;
    }

    private function inside(int $n, Stretch $stretch, float $share, int $channel): ?float
    {
        $c = $stretch->numbers === [] ? $channel - 1 : array_search($channel, $stretch->numbers, true);
        if ($c === false || !isset($stretch->start[$c + 1])) {
            return null;
        }
        if ($share < 1e-9 || $share > 1 - 1e-9) {
            $ends = $share < 0.5 ? $stretch->start : $stretch->end;

            return $this->solution->volt($ends[0]) - $this->solution->volt($ends[$c + 1]);
        }
        $this->groups[$n] ??= $this->solution->groupVolts($n);
        $inside = $this->groups[$n][$c];
        $count = count($inside);
        $x = [0.0, ...array_map(static fn(int $g): float => ($g + 0.5) / $count, range(0, $count - 1)), 1.0];
        $u = [
            $this->solution->volt($stretch->start[0]) - $this->solution->volt($stretch->start[$c + 1]),
            ...$inside,
            $this->solution->volt($stretch->end[0]) - $this->solution->volt($stretch->end[$c + 1]),
        ];

        return self::between($x, $u, $share, $count < $this->counts[$n]);
    }

    /**
     * Straight between two points; where a stretch was lumped through three, since the drop along even load is a parabola.
     *
     * @param  list<float>  $x
     * @param  list<float>  $u
     */
    private static function between(array $x, array $u, float $at, bool $lumped): float
    {
        $k = 1;
        while ($k < count($x) - 1 && $x[$k] < $at) {
            $k++;
        }
        if (!$lumped || count($x) < 3) {
            return $u[$k - 1] + (($u[$k] - $u[$k - 1]) * ($at - $x[$k - 1])) / ($x[$k] - $x[$k - 1]);
        }
        $k = min(max($k, 1), count($x) - 2);
        [$a, $b, $c] = [$x[$k - 1], $x[$k], $x[$k + 1]];

        return ($u[$k - 1] * ($at - $b) * ($at - $c)) / (($a - $b) * ($a - $c)) +
            ($u[$k] * ($at - $a) * ($at - $c)) / (($b - $a) * ($b - $c)) +
            ($u[$k + 1] * ($at - $a) * ($at - $b)) / (($c - $a) * ($c - $b));
    }
}
