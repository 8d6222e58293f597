<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Circuit;

use EmberDusk\Circuit\Draw;
use EmberDusk\Circuit\FixtureGroup;
use EmberDusk\Circuit\Loads\ConstantCurrent;
use EmberDusk\Circuit\Loads\ConstantPower;
use EmberDusk\Circuit\Loads\ResistorLimited;
use EmberDusk\Circuit\Network;
use EmberDusk\Circuit\Solution;
use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Circuit\SourceCurrent;
use EmberDusk\Circuit\Stretch;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/**
 * Circuits made at random, the seed fixed: at every node the currents balance, and the power of the EMFs equals the losses.
 * Both are calculated here from the volts alone, resistor by resistor and group by group.
 */
final class RandomCircuitsTest extends TestCase
{
    private const CASES = 200;

    public function test_random_circuits_balance(): void
    {
        mt_srand(20261126);
        $seen = [
            'ring' => 0,
            'several supplies' => 0,
            'starved pixels' => 0,
            'several runs' => 0,
            'colour' => 0,
            'in its limit' => 0,
            'constant power' => 0,
        ];
        $collapsed = 0;
        for ($case = 0; $case < self::CASES; $case++) {
            [$network, $kinds] = self::circuit();
            try {
                $solution = Newton::solve($network);
            } catch (Refusal $t) {
                // Only fixtures may be unsolvable, and then it is reported.
                self::assertStringStartsWith('Voltage collapse at LAMP: ', $t->getMessage(), "circuit {$case}");
                self::assertNotSame([], $network->points);
                $collapsed++;

                continue;
            }
            [$imbalance, $emf, $spent] = self::account($network, $solution);
            self::assertLessThan(1e-6, $imbalance, "circuit {$case}: amps out of balance");
            self::assertLessThan(1e-6, abs($emf - $spent) / max(1e-9, abs($emf)), "circuit {$case}: power");
            foreach ($network->stretches as $n => $stretch) {
                $starved =
                    $stretch->loads[0] instanceof ConstantCurrent &&
                    min([INF, ...$solution->groupAmps($n)[0]]) < 0.9 * $stretch->loads[0]->nominalAmps();
                $kinds['starved pixels'] = ($kinds['starved pixels'] ?? false) || $starved;
            }
            foreach ($network->sources as $source) {
                $kinds['in its limit'] =
                    ($kinds['in its limit'] ?? false) || $solution->delivered($source) > 0.99 * $source->limit;
            }
            foreach (array_filter($kinds) as $kind => $_) {
                $seen[$kind]++;
            }
        }
        fwrite(
            STDERR,
            "\n" .
                implode(
                    ', ',
                    array_map(static fn(string $k, int $n): string => "{$n} {$k}", array_keys($seen), $seen),
                ) .
                "; {$collapsed} collapsed, of " .
                self::CASES .
                " circuits\n",
        );
        self::assertLessThan(12, $collapsed);
        foreach ($seen as $kind => $count) {
            self::assertGreaterThanOrEqual(20, $count, $kind);
        }
    }

    /** @return array{Network, array<string, bool>} */
    private static function circuit(): array
    {
        $net = new Network();
        $volts = [5.0, 12.0, 24.0][mt_rand(0, 2)];
        $channels = $volts === 5.0 || mt_rand(0, 2) === 0 ? 1 : mt_rand(2, 5);
        $pixels = $channels === 1 && mt_rand(0, 2) > 0;
        $kinds = ['colour' => $channels >= 3];
        // Supplies on one + each: the zones of a second supply have a + of their own, the minus is common.
        $supplies = $pixels && mt_rand(0, 1) === 1 ? mt_rand(2, 3) : 1;
        $kinds['several supplies'] = $supplies > 1;
        $hubs = [];
        for ($s = 0; $s < $supplies; $s++) {
            $plus = $net->node("s{$s}_p", $volts);
            $minus = $s === 0 ? 0 : $net->node("s{$s}_m", 0.0);
            $net->sources[] = new SourceCurrent(
                name: "s{$s}",
                plus: $plus,
                emf: $volts,
                ohms: mt_rand(1, 30) / 1000,
                limit: mt_rand(5, 200) / 10,
                minus: $minus,
            );
            $net->draws[] = new Draw("d{$s}", $plus, $minus, mt_rand(0, 20) / 1000);
            $hub = [$net->node("h{$s}_p", $volts)];
            $net->resistor(name: "h{$s}_p", part: 'k', from: $plus, to: $hub[0], ohms: mt_rand(2, 200) / 1000);
            for ($c = 1; $c <= $channels; $c++) {
                $hub[] = $net->node("h{$s}_{$c}", 0.0);
                $net->resistor(name: "h{$s}_{$c}", part: 'k', from: $hub[$c], to: $minus, ohms: mt_rand(2, 200) / 1000);
            }
            $hubs[] = $hub;
        }
        $runs = $supplies > 1 ? 1 : mt_rand(1, 3);
        $kinds['several runs'] = $runs > 1;
        $ring = $supplies === 1 && mt_rand(0, 2) === 0;
        $kinds['ring'] = $ring;
        for ($r = 0; $r < $runs; $r++) {
            self::strip(
                net: $net,
                name: "r{$r}",
                volts: $volts,
                channels: $channels,
                pixels: $pixels,
                hubs: $hubs,
                ring: $ring,
            );
        }
        $kinds['constant power'] = mt_rand(0, 3) === 0;
        if ($kinds['constant power']) {
            $plus = $net->node('lamp_p', $volts);
            $minus = $net->node('lamp_m', 0.0);
            $ohms = mt_rand(20, 900) / 1000;
            $net->resistor(name: 'lamp_p', part: 'k', from: $net->sources[0]->plus, to: $plus, ohms: $ohms);
            $net->resistor(name: 'lamp_m', part: 'k', from: $minus, to: 0, ohms: $ohms);
            // A cable of R ohm lets through E²/4R at most; up to that, and some below their least volts.
            $net->points[] = new FixtureGroup(
                part: 'lamp',
                name: 'lamp',
                plus: $plus,
                minus: $minus,
                load: new ConstantPower(
                    ((mt_rand(1, 22) / 100) * $volts ** 2) / (2 * $ohms) / 2,
                    (mt_rand(30, 95) / 100) * $volts,
                ),
            );
        }

        return [$net, $kinds];
    }

    /**
     * @param  int<1, 5>  $channels
     * @param  list<non-empty-list<int>>  $hubs
     */
    private static function strip(
        Network $net,
        string $name,
        float $volts,
        int $channels,
        bool $pixels,
        array $hubs,
        bool $ring,
    ): void {
        $loads = [];
        foreach (range(1, $channels) as $_) {
            $loads[] = $pixels
                ? new ConstantCurrent(mt_rand(20, 80) / 1000, 0.5 * $volts, (mt_rand(65, 90) / 100) * $volts)
                : new ResistorLimited(
                    volts: $volts,
                    nominal: mt_rand(2, 60) / 1000,
                    leds: ($leds = [5 => 1, 12 => 3, 24 => 6][(int) $volts]),
                    ledVolts: ($volts / ($leds + 2)) * (0.7 + mt_rand(0, 50) / 100),
                    slope: 0.05,
                );
        }
        $pieces = max(count($hubs), mt_rand(1, 4));
        $pad = $first = self::pad($net, "{$name}_a0", $volts, $channels);
        self::tail($net, "{$name}_k0", $hubs[0], $first);
        $at = 0;
        for ($n = 1; $n <= $pieces; $n++) {
            $groups = mt_rand(1, 40);
            $last = $n === $pieces;
            $next = $ring && $last && $n > 1 ? $first : self::pad($net, "{$name}_a{$n}", $volts, $channels);
            $zone = min($n, count($hubs) - 1);
            // At the next zone this piece ends at its own +.
            if (count($hubs) > 1 && $zone === $n) {
                $end = [$net->node("{$name}_q{$n}", $volts), ...array_slice($next, 1)];
            } else {
                $end = $next;
            }
            $net->stretches[] = new Stretch(
                run: $name,
                prefix: $name,
                first: $at,
                groups: $groups,
                pitch: 0.05,
                plusRail: mt_rand(5, 300) / 1000,
                returnRail: mt_rand(5, 300) / 1000,
                loads: $loads,
                start: $pad,
                end: $end,
            );
            if ((!$last || mt_rand(0, 1) === 1 || $end !== $next) && $next !== $first) {
                self::tail($net, "{$name}_k{$n}", $hubs[$zone], $next);
            }
            $at += $groups;
            $pad = $next;
        }
    }

    /** @return non-empty-list<int> */
    private static function pad(Network $net, string $name, float $volts, int $channels): array
    {
        $pad = [$net->node("{$name}_p", $volts)];
        for ($c = 1; $c <= $channels; $c++) {
            $pad[] = $net->node("{$name}_{$c}", 0.0);
        }

        return $pad;
    }

    /**
     * @param  non-empty-list<int>  $hub
     * @param  non-empty-list<int>  $pad
     */
    private static function tail(Network $net, string $name, array $hub, array $pad): void
    {
        $ohms = mt_rand(5, 800) / 1000;
        foreach ($pad as $t => $node) {
            $net->resistor(name: "{$name}_{$t}", part: 'k', from: $hub[$t], to: $node, ohms: $ohms);
        }
    }

    /** @return array{float, float, float} largest sum of currents at a node, watts of the EMFs, watts of everything else */
    private static function account(Network $network, Solution $solution): array
    {
        $volts = $solution->nodes() + ['0' => 0.0];
        $sum = array_fill_keys(array_keys($volts), 0.0);
        $spent = $emf = 0.0;
        $flow = static function (string $a, string $b, float $amps) use (&$sum, &$spent, $volts): void {
            $sum[$a] += $amps;
            $sum[$b] -= $amps;
            $spent += ($volts[$a] - $volts[$b]) * $amps;
        };
        $name = static fn(int $n): string => $network->nodes[$n];
        foreach ($network->resistors as $r) {
            $flow($name($r->from), $name($r->to), ($volts[$name($r->from)] - $volts[$name($r->to)]) / $r->ohms);
        }
        foreach ($network->draws as $d) {
            $flow($name($d->plus), $name($d->minus), $d->amps);
        }
        foreach ($network->sources as $s) {
            $across = $volts[$name($s->plus)] - $volts[$name($s->minus)];
            $amps = $s->at($across)[0];
            $sum[$name($s->plus)] -= $amps;
            $sum[$name($s->minus)] += $amps;
            $emf += $s->emf * $amps;
            $spent += ($s->emf - $across) * $amps;
        }
        foreach ($network->stretches as $s) {
            foreach (range(0, $s->channels()) as $t) {
                for ($g = 0; $g <= $s->groups; $g++) {
                    $a = $g === 0 ? $name($s->start[$t]) : $s->node($g - 1, $t);
                    $b = $g === $s->groups ? $name($s->end[$t]) : $s->node($g, $t);
                    $flow(
                        $a,
                        $b,
                        ($volts[$a] - $volts[$b]) /
                            (($t === 0 ? $s->plusRail : $s->returnRail) *
                                $s->pitch *
                                ($g === 0 || $g === $s->groups ? 0.5 : 1)),
                    );
                }
            }
            foreach ($s->loads as $c => $load) {
                for ($g = 0; $g < $s->groups; $g++) {
                    [$a, $b] = [$s->node($g, 0), $s->node($g, $c + 1)];
                    $flow($a, $b, $load->evaluate([$volts[$a] - $volts[$b]])[0][0]);
                }
            }
        }
        foreach ($network->points as $p) {
            $flow(
                $name($p->plus),
                $name($p->minus),
                $p->load->at($volts[$name($p->plus)] - $volts[$name($p->minus)])[0],
            );
        }
        unset($sum['0']);

        return [max(0.0, ...array_values(array_map(abs(...), $sum))), $emf, $spent];
    }
}
