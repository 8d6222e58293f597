<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Circuit;

use EmberDusk\Circuit\Load;
use EmberDusk\Circuit\Loads\ResistorLimited;
use EmberDusk\Circuit\Network;
use EmberDusk\Circuit\Solution;
use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Circuit\Solver\SymmetricFactor;
use EmberDusk\Circuit\SourceCurrent;
use EmberDusk\Circuit\Stretch;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

final class SolverTest extends TestCase
{
    /**
     * A resistive ladder against cosh: r ohm of loop rail a pitch, g siemens a group, open at the far end.
     *
     * With cosh(a) = 1 + r g / 2 the volts of group n from an unfed end are U cosh((n + 1/2) a) / cosh(a / 2) for group 0
     * at U (the textbook solution of the difference equation u(n+1) - 2 u(n) + u(n-1) = r g u(n), no current beyond
     * group 0).
     */
    public function test_a_resistive_ladder_follows_cosh(): void
    {
        foreach ([1, 2, 3, 4] as $channels) {
            [$groups, $pitch, $rail, $ohms] = [80, 0.05, 0.9, 1000.0];
            $load = new ResistorLimited(volts: 24, nominal: 24 / $ohms, leds: 0, ledVolts: 0, slope: 0.05);
            $solution = Newton::solve(
                self::line($groups, $pitch, $rail, array_fill(0, $channels, $load), fedAtEnd: false),
            );
            // All channels alike: each return carries its own current, the + rail all of them.
            $a = acosh(1 + (($channels + 1) * $rail * $pitch) / $ohms / 2);
            foreach ($solution->groupVolts(0) as $volts) {
                $far = $volts[$groups - 1];
                foreach ([0, 13, 40, 79] as $n) {
                    $fromEnd = $groups - 1 - $n;
                    self::assertEqualsWithDelta(
                        ($far * cosh(($fromEnd + 0.5) * $a)) / cosh(0.5 * $a),
                        $volts[$n],
                        1e-9,
                    );
                }
            }
        }
    }

    /** Fed alike at both ends the same ladder is a cosh about its middle. */
    public function test_a_ladder_fed_at_both_ends_is_symmetric(): void
    {
        [$groups, $pitch, $rail, $ohms] = [60, 0.05, 0.9, 500.0];
        $volts = Newton::solve(
            self::line(
                $groups,
                $pitch,
                $rail,
                [new ResistorLimited(volts: 24, nominal: 24 / $ohms, leds: 0, ledVolts: 0, slope: 0.05)],
                fedAtEnd: true,
            ),
        )->groupVolts(0)[0];
        $a = acosh(1 + (2 * $rail * $pitch) / $ohms / 2);
        foreach (range(0, 59) as $n) {
            self::assertEqualsWithDelta($volts[59 - $n], $volts[$n], 1e-9);
            self::assertEqualsWithDelta(cosh(($n - 29.5) * $a) / cosh(0.5 * $a), $volts[$n] / $volts[29], 1e-9);
        }
    }

    /** Kirchhoff at every node, and the EMF's power accounted for, on random lines of both widths; the seed is fixed. */
    public function test_currents_balance_on_random_circuits(): void
    {
        mt_srand(20261125);
        $seen = ['both' => 0, 'two' => 0, 'more' => 0, 'starved' => 0];
        for ($n = 0; $n < 160; $n++) {
            $channels = mt_rand(1, 4);
            $both = mt_rand(0, 1) === 1;
            $leds = mt_rand(0, 6);
            $loads = array_map(
                static fn(): ResistorLimited => new ResistorLimited(
                    volts: 24,
                    nominal: mt_rand(2, 60) / 1000,
                    leds: $leds,
                    ledVolts: $leds === 0 ? 0.0 : 2 + mt_rand(0, 90) / 100,
                    slope: 0.05,
                ),
                range(1, $channels),
            );
            $network = self::line(
                groups: mt_rand(1, 150),
                pitch: 0.05,
                rail: mt_rand(1, 200) / 100,
                loads: $loads,
                fedAtEnd: $both,
            );
            $solution = Newton::solve($network);
            $seen['both'] += (int) $both;
            $seen['two'] += (int) ($channels === 2);
            $seen['more'] += (int) ($channels > 2);
            $seen['starved'] += (int) (min([24.0, ...$solution->groupVolts(0)[0]]) < 16);
            self::assertLessThan(1e-6, self::imbalance($network, $solution), "circuit {$n}");
        }
        self::assertGreaterThan(15, min($seen), json_encode($seen, JSON_THROW_ON_ERROR));
    }

    public function test_a_supply_bends_softly_into_its_limit(): void
    {
        $source = new SourceCurrent(name: 's', plus: 1, emf: 24.0, ohms: 0.01, limit: 11.0);
        self::assertEqualsWithDelta(5.0, $source->at(23.95)[0], 1e-9);
        self::assertEqualsWithDelta(11.0, $source->at(10.0)[0], 1e-9);
        // At the limit itself it stands ln 2 of its softness below, by the law.
        self::assertEqualsWithDelta(11.0 - 0.11 * log(2), $source->at(24 - 0.11)[0], 1e-9);
        self::assertEqualsWithDelta(
            ($source->at(23.889)[0] - $source->at(23.891)[0]) / 0.002,
            $source->at(23.89)[1],
            1e-3,
        );
    }

    /** Against dense elimination on random symmetric systems. */
    public function test_the_sparse_factor_solves_what_a_dense_one_solves(): void
    {
        mt_srand(3);
        for ($case = 0; $case < 30; $case++) {
            $size = mt_rand(2, 14);
            $pairs = [];
            $dense = array_fill(1, $size, array_fill(1, $size, 0.0));
            for ($n = 0; $n < 2 * $size; $n++) {
                [$a, $b] = [mt_rand(1, $size), mt_rand(1, $size)];
                $g = mt_rand(1, 100) / 10;
                $pairs[] = [$a, $b, $g];
                $dense[$a][$a] += $g;
                if ($a !== $b) {
                    $dense[$b][$b] += $g;
                    $dense[$a][$b] -= $g;
                    $dense[$b][$a] -= $g;
                }
            }
            $factor = new SymmetricFactor(
                range(1, $size),
                array_map(static fn(array $p): array => [$p[0], $p[1]], $pairs),
            );
            $factor->clear();
            foreach ($dense as $a => $row) {
                $dense[$a][$a] += 1.0;
                foreach ($row as $b => $value) {
                    if ($b < $a && $value !== 0.0) {
                        $factor->add($a, $b, $value);
                    }
                }
                $factor->add($a, $a, $dense[$a][$a]);
            }
            $wanted = array_map(static fn(): float => mt_rand(-100, 100) / 7, range(1, $size));
            $right = [];
            foreach ($dense as $a => $row) {
                $right[$a] = array_sum(array_map(static fn(float $v, float $x): float => $v * $x, $row, $wanted));
            }
            $found = $factor->solve($right);
            foreach ($wanted as $n => $x) {
                self::assertEqualsWithDelta($x, $found[$n + 1], 1e-9);
            }
        }
    }

    public function test_reports_an_unconnected_part(): void
    {
        $network = self::line(
            groups: 3,
            pitch: 0.05,
            rail: 0.1,
            loads: [new ResistorLimited(volts: 24, nominal: 0.01, leds: 6, ledVolts: 2.9, slope: 0.05)],
            fedAtEnd: false,
        );
        $network->node('adrift', 0.0);
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('not connected');
        Newton::solve($network);
    }

    /** @param  non-empty-list<Load>  $loads */
    private static function line(int $groups, float $pitch, float $rail, array $loads, bool $fedAtEnd): Network
    {
        $net = new Network();
        $plus = $net->node('s_p', 24.0);
        $net->sources[] = new SourceCurrent(name: 's', plus: $plus, emf: 24.0, ohms: 0.005, limit: 100.0);
        $pads = [];
        foreach (['a', 'b'] as $pad) {
            $pads[$pad] = [$net->node("{$pad}_p", 24.0)];
            foreach ($loads as $c => $_) {
                $pads[$pad][] = $net->node("{$pad}_" . ($c + 1), 0.0);
            }
            if ($pad === 'a' || $fedAtEnd) {
                $net->resistor(name: "{$pad}p", part: 'k', from: $plus, to: $pads[$pad][0], ohms: 0.02);
                foreach ($loads as $c => $_) {
                    $net->resistor(name: "{$pad}{$c}", part: 'k', from: $pads[$pad][$c + 1], to: 0, ohms: 0.02);
                }
            }
        }
        $net->stretches[] = new Stretch(
            run: 'r',
            prefix: 'r',
            first: 0,
            groups: $groups,
            pitch: $pitch,
            plusRail: $rail,
            returnRail: $rail,
            loads: $loads,
            start: $pads['a'],
            end: $pads['b'],
        );

        return $net;
    }

    /** Largest sum of currents at any node, calculated from the volts alone. */
    private static function imbalance(Network $network, Solution $solution): float
    {
        $volts = $solution->nodes() + ['0' => 0.0];
        $sum = array_fill_keys(array_keys($volts), 0.0);
        $flow = static function (string $a, string $b, float $amps) use (&$sum): void {
            $sum[$a] += $amps;
            $sum[$b] -= $amps;
        };
        foreach ($network->resistors as $r) {
            [$a, $b] = [$network->nodes[$r->from], $network->nodes[$r->to]];
            $flow($a, $b, ($volts[$a] - $volts[$b]) / $r->ohms);
        }
        foreach ($network->sources as $s) {
            $flow('0', $network->nodes[$s->plus], $s->at($volts[$network->nodes[$s->plus]])[0]);
        }
        foreach ($network->stretches as $s) {
            foreach (range(0, $s->channels()) as $t) {
                for ($g = 0; $g <= $s->groups; $g++) {
                    $a = $g === 0 ? $network->nodes[$s->start[$t]] : $s->node($g - 1, $t);
                    $b = $g === $s->groups ? $network->nodes[$s->end[$t]] : $s->node($g, $t);
                    $ohms =
                        ($t === 0 ? $s->plusRail : $s->returnRail) *
                        $s->pitch *
                        ($g === 0 || $g === $s->groups ? 0.5 : 1);
                    $flow($a, $b, ($volts[$a] - $volts[$b]) / $ohms);
                }
            }
            foreach ($s->loads as $c => $load) {
                for ($g = 0; $g < $s->groups; $g++) {
                    [$a, $b] = [$s->node($g, 0), $s->node($g, $c + 1)];
                    [$amps] = $load->evaluate([$volts[$a] - $volts[$b]]);
                    $flow($a, $b, $amps[0]);
                }
            }
        }
        unset($sum['0']);

        return max(0.0, ...array_values(array_map(abs(...), $sum)));
    }
}
