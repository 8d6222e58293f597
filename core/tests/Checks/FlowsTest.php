<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks;

use EmberDusk\Tests\Circuits;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Everything is judged by its actual current, in any order of names; each case has a mirror image without findings. */
final class FlowsTest extends TestCase
{
    private const PIXELS = ['kind' => 'pixels', 'pitch' => 0.08];

    /**
     * Ten metres of 5 V pixels, cut in the middle, a zone on each of two supplies. Common practice: 125 pixels of 61 mA are 7.6 A.
     *
     * @param  array<string, mixed>  $first
     * @param  array<string, mixed>  $second
     */
    private static function zones(string $one, string $two, array $first, array $second): Circuits
    {
        return Circuits::in()
            ->supply($one, $first + ['volts' => 5.0, 'ratedAmps' => 10.0])
            ->supply($two, $second + ['volts' => 5.0, 'ratedAmps' => 10.0])
            ->run('r1', 10.0, self::PIXELS, $one, zones: [62])
            ->feed('f1', 'r1', 0)
            ->feed('f2', 'r1', 125)
            ->cable('k1', '3x2.5', $one, 'f1', metres: 0.2)
            ->cable('k2', '2x2.5', $two, 'f2', metres: 0.2)
            ->board('i1', ['inputLeast' => 5.0, 'inputMost' => 24.0, 'outputs' => 1, 'pixelsPerOutput' => 500], 'r1');
    }

    /** Fixtures of 6 W and 12 V on a pair from a supply. */
    private static function lamps(Circuits $of, string $size, int $count = 2, ?float $fuse = null): Circuits
    {
        return $of
            ->fixture('x1', $count, ['mostVolts' => 15.0])
            ->cable('k1', $size, 's1', 'x1', metres: 1.0, fuse: $fuse);
    }

    /** Two runs of different strips under one controller: 5 A and 5.6 A of 24 V. */
    private static function mixed(string $a, string $b, float $carries): Circuits
    {
        return Circuits::in()
            ->supply('s1', ['ratedAmps' => 20.0, 'overloadAmps' => 20.0])
            ->controller('c1', ['channelAmps' => $carries, 'totalAmps' => $carries])
            ->run($a, 12.5, ['watts' => 9.6], 's1', controller: 'c1')
            ->run($b, 14.0, ['watts' => 9.6, 'pitch' => 0.1], 's1', controller: 'c1')
            ->feed('f1', $a, 0)
            ->feed('f2', $b, 0)
            ->feed('f3', $a, 250)
            ->feed('f4', $b, 140)
            ->cable('k1', '2x2.5', 's1', 'c1', metres: 0.3)
            ->cable('k2', '2x2.5', 'c1', 'f1', metres: 0.3)
            ->cable('k3', '2x2.5', 'c1', 'f2', metres: 0.3)
            ->cable('k4', '2x2.5', 'c1', 'f3', metres: 0.3)
            ->cable('k5', '2x2.5', 'c1', 'f4', metres: 0.3);
    }

    /** A run on a leg that was there, behind a fuse. */
    private static function leg(string $laid, ?float $fuse, string $size = '2x2.5', string $notes = 'dry'): Circuits
    {
        return Circuits::in($notes)
            ->supply('s1', ['ratedAmps' => 30.0, 'overloadAmps' => 45.0])
            ->controller('c1', ['terminal' => 6.0])
            ->run('r1', 4.0, [], 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', $size, 's1', 'c1', metres: 2.0, fuse: $fuse, existing: true, laid: $laid)
            ->cable('k2', '2x2.5', 'c1', 'f1', metres: 0.5);
    }

    /**
     * Two runs behind a pair without a fuse.
     *
     * @param  array<string, mixed>  $supply
     */
    private static function bare(string $size, array $supply): Circuits
    {
        return Circuits::in()
            ->supply('s1', $supply)
            ->controller('c1', ['terminal' => 6.0])
            ->run('r1', 4.0, [], 's1', controller: 'c1')
            ->run('r2', 4.0, [], 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->feed('f2', 'r2', 0)
            ->cable('k1', $size, 's1', 'c1', metres: 1.0)
            ->cable('k2', '2x4', 'c1', 'f1', metres: 0.5)
            ->cable('k3', '2x4', 'c1', 'f2', metres: 0.5);
    }

    /**
     * A strip fed at one end, its rails thick enough to carry that far.
     *
     * @param  array<string, mixed>  $strip
     */
    private static function rail(float $amps, array $strip = []): Circuits
    {
        return Circuits::in()
            ->supply('s1', ['ratedAmps' => 20.0, 'overloadAmps' => 20.0])
            ->controller('c1', ['channelAmps' => 20.0])
            ->run(
                'r1',
                5.0,
                $strip + ['watts' => ($amps * 24.0) / 5.0, 'plusRail' => 0.0002, 'returnRail' => 0.0002],
                's1',
                controller: 'c1',
            )
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1', metres: 0.1)
            ->cable('k2', '2x2.5', 'c1', 'f1', metres: 0.1);
    }

    /** @return iterable<string, array{Circuits, list<string>}> severity, code and place of all stops and warnings */
    public static function cases(): iterable
    {
        foreach ([['s1', 's2'], ['s2', 's1']] as [$one, $two]) {
            $in = " ({$one} first)";
            yield "the second zone on 24 V{$in}" => [
                self::zones($one, $two, ['overloadAmps' => 12.0], ['volts' => 24.0, 'overloadAmps' => 12.0]),
                ['stop supply-volts r1'],
            ];
            yield "the second zone on 3 A{$in}" => [
                self::zones(
                    $one,
                    $two,
                    ['overloadAmps' => 12.0],
                    ['ratedAmps' => 3.0, 'limitAmps' => 3.3, 'overloadAmps' => 3.3],
                ),
                ['stop headroom r1'],
            ];
            yield "two adequate supplies{$in}" => [
                // Each gives 3.8 A; one for both would have to give 7.6 A.
                self::zones($one, $two, ['ratedAmps' => 6.0], ['ratedAmps' => 6.0]),
                [],
            ];
        }
        $bank = Circuits::in('dry')->bank('s1');
        yield 'a thin pair straight from a bank' => [self::lamps($bank, '2x0.5'), ['stop tap-fuse k1']];
        yield 'a thin pair behind 20 A' => [self::lamps($bank, '2x0.5', 2, 20.0), ['stop fuse-large k1']];
        yield 'a thin pair behind 3 A' => [self::lamps($bank, '2x0.5', 2, 3.0), []];
        $sixty = Circuits::in()->supply('s1', ['volts' => 12.0, 'ratedAmps' => 5.0, 'overloadAmps' => 6.0]);
        yield 'fixtures that take all of a supply' => [self::lamps($sixty, '2x2.5', 10), ['stop headroom x1']];
        yield 'fixtures that take 80 % of it' => [self::lamps($sixty, '2x2.5', 7), []];
        // Eleven lamps ask for 66 W; of 12 V 0.7 V are lost in 8 m of 2.5 mm².
        yield '66 W of fixtures on 60 W far away' => [
            Circuits::in()
                ->supply('s1', ['volts' => 12.0, 'ratedAmps' => 5.0, 'limitAmps' => 10.0, 'overloadAmps' => 10.0])
                ->fixture('x1', 11)
                ->cable('k1', '2x2.5', 's1', 'x1', metres: 8.0),
            ['stop headroom x1'],
        ];
        yield '48 W of fixtures on 60 W far away' => [
            Circuits::in()
                ->supply('s1', ['volts' => 12.0, 'ratedAmps' => 5.0, 'limitAmps' => 10.0, 'overloadAmps' => 10.0])
                ->fixture('x1', 7)
                ->cable('k1', '2x2.5', 's1', 'x1', metres: 12.0),
            ['watch lamp-drop x1'],
        ];
        // 5.6 A of 12 V by the label are 6.7 A at 14.4 V (common practice, no source); 0.75 mm² carries 6 A.
        foreach ([[5.6, ['stop cable-amps k1']], [4.8, []]] as [$amps, $said]) {
            yield "{$amps} A on a battery that charges" => [
                Circuits::in()
                    ->bank('s1', ['sourceOhms' => 0.001])
                    ->controller('c1', ['terminal' => 6.0])
                    ->run(
                        'r1',
                        3.0,
                        Circuits::resistor(12.0 * $amps, 3.0, 12.0) + ['railAmps' => 20.0],
                        's1',
                        controller: 'c1',
                    )
                    ->feed('f1', 'r1', 0)
                    ->cable('k1', '2x0.75', 's1', 'c1', metres: 0.1, fuse: 10.0)
                    ->cable('k2', '2x2.5', 'c1', 'f1', metres: 0.1),
                [...$said, 'stop fuse-large k1', 'watch swing r1'],
            ];
        }
        yield '72 W of fixtures on 60 W' => [self::lamps($sixty, '2x2.5', 12), ['stop headroom x1']];
        foreach ([['r1', 'r2'], ['r2', 'r1']] as [$a, $b]) {
            yield "two strips on 8 A ({$a} is the first)" => [self::mixed($a, $b, 8.0), ['stop controller-amps r1']];
            yield "two strips on 12 A ({$a} is the first)" => [self::mixed($a, $b, 12.0), []];
        }
        yield 'a leg in an insulated wall behind 25 A' => [self::leg('wall', 25.0), ['stop fuse-large k1']];
        yield 'a leg of which nothing is known behind 16 A' => [self::leg('', 16.0), ['stop fuse-large k1']];
        yield 'a leg on the surface behind 25 A' => [self::leg('surface', 25.0), []];
        yield 'a leg in conduit behind 20 A' => [self::leg('conduit', 20.0), []];
        // 27 A on the surface in air of 45 °C are 21.3 A (tables 4D5 and 4B1, from memory).
        yield 'the same where it is warm' => [
            self::leg('surface', 25.0, notes: "dry\nair 45"),
            ['stop fuse-large k1', 'stop fuse-large k2', 'watch supply-air r1'],
        ];
        yield '0.5 mm² on 30 A without a fuse' => [
            self::bare('2x0.5', ['ratedAmps' => 30.0, 'overloadAmps' => 45.0]),
            ['stop cable-amps k1', 'stop cable-protection k2', 'stop cable-protection k3'],
        ];
        // Its rating alone is more than 3 A, whatever its overload current.
        yield 'a thin pair to little light on 30 A that nobody stated' => [
            Circuits::in()
                ->supply('s1', ['ratedAmps' => 30.0])
                ->controller('c1', ['terminal' => 10.0])
                ->run('r1', 1.0, [], 's1', controller: 'c1')
                ->feed('f1', 'r1', 0)
                ->cable('k1', '2x0.5', 's1', 'c1')
                ->cable('k2', '2x10', 'c1', 'f1', laid: 'surface'),
            ['stop cable-protection k1'],
        ];
        yield '2.5 mm² on 20 A whose overload nobody stated' => [
            self::bare('2x2.5', ['ratedAmps' => 20.0]),
            ['watch cable-protection k1'],
        ];
        yield '2.5 mm² on 20 A that keeps up 30 A' => [
            self::bare('2x2.5', ['ratedAmps' => 20.0, 'overloadAmps' => 30.0]),
            ['stop cable-protection k1'],
        ];
        yield '2.5 mm² on 20 A that keeps up 25 A' => [
            self::bare('2x2.5', ['ratedAmps' => 20.0, 'overloadAmps' => 25.0]),
            [],
        ];
        yield '12 A into one end' => [self::rail(12.0), ['watch rail-amps r1']];
        yield '4.9 A into one end' => [self::rail(4.9), []];
        yield '12 A into one end of a strip that carries 13 A' => [self::rail(12.0, ['railAmps' => 13.0]), []];
        yield '12 A into one end of a strip that carries 11 A' => [
            self::rail(12.0, ['railAmps' => 11.0]),
            ['stop rail-amps r1'],
        ];
    }

    /** @param  list<string>  $said */
    #[DataProvider('cases')]
    public function test_judges_by_the_actual_current(Circuits $circuit, array $said): void
    {
        self::assertSame($said, $circuit->verdicts());
    }

    /**
     * The order of names decides nothing: the first ids become the last ones.
     *
     * @param  list<string>  $said
     */
    #[DataProvider('cases')]
    public function test_the_order_of_the_ids_decides_nothing(Circuits $circuit, array $said): void
    {
        self::assertSame($said, $circuit->turned());
    }
}
