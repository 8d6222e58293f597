<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Survey;

use EmberDusk\Survey\Conductor;
use EmberDusk\Survey\Copper;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ConductorTest extends TestCase
{
    /**
     * IEC 60228:2004 tables 2 and 3, greatest d.c. resistance at 20 °C, plain copper, ohm/km (written from memory).
     *
     * @return iterable<array{float, string, float}>
     */
    public static function iec60228(): iterable
    {
        foreach (
            [
                '0.5' => 39.0,
                '0.75' => 26.0,
                '1' => 19.5,
                '1.5' => 13.3,
                '2.5' => 7.98,
                '4' => 4.95,
                '6' => 3.3,
                '10' => 1.91,
            ]
            as $size => $ohms
        ) {
            yield "class 5 {$size}" => [(float) $size, 'flexible', $ohms];
        }
        foreach (
            [
                '0.5' => 36.0,
                '0.75' => 24.5,
                '1' => 18.1,
                '1.5' => 12.1,
                '2.5' => 7.41,
                '4' => 4.61,
                '6' => 3.08,
                '10' => 1.83,
            ]
            as $size => $ohms
        ) {
            yield "class 2 {$size}" => [(float) $size, 'stranded', $ohms];
            // Table 1: a solid core of class 1 has the same greatest resistance.
            yield "class 1 {$size}" => [(float) $size, 'solid', $ohms];
        }
        // A size that the standard does not have, by its area: 19.5 ohm/km of 1 mm².
        yield 'class 5 1.25' => [1.25, 'flexible', 19.5 / 1.25];
    }

    #[DataProvider('iec60228')]
    public function test_metric_sizes_have_the_standards_resistance(
        float $size,
        string $make,
        float $ohmsPerKilometre,
    ): void {
        self::assertEqualsWithDelta($ohmsPerKilometre, Conductor::from('mm2', $size, $make)->ohms(1000, 20), 1e-9);
    }

    /**
     * NEC chapter 9 table 8, d.c. resistance at 75 °C, uncoated copper, ohm per 1000 ft (written from memory).
     *
     * @return iterable<array{int, string, float}>
     */
    public static function nec(): iterable
    {
        foreach ([18 => 7.77, 16 => 4.89, 14 => 3.07, 12 => 1.93, 10 => 1.21] as $gauge => $ohms) {
            yield "solid {$gauge}" => [$gauge, 'solid', $ohms];
        }
        foreach ([18 => 7.95, 16 => 4.99, 14 => 3.14, 12 => 1.98, 10 => 1.24] as $gauge => $ohms) {
            yield "stranded {$gauge}" => [$gauge, 'stranded', $ohms];
        }
    }

    #[DataProvider('nec')]
    public function test_awg_sizes_agree_with_the_code_table_within_six_per_mille(
        int $gauge,
        string $make,
        float $ohmsPerKilofoot,
    ): void {
        $ohms = Conductor::from('awg', $gauge, $make)->ohms(304.8, 75);
        self::assertEqualsWithDelta(1, $ohms / $ohmsPerKilofoot, 0.006);
    }

    /** ASTM B258 table: 10 AWG is 0.1019 in, 18 AWG 0.0403 in, 36 AWG 0.0050 in (written from memory). */
    public function test_gauges_have_the_standards_diameter(): void
    {
        self::assertEqualsWithDelta(0.1019 * 0.0254, Conductor::awgDiameter(10), 2e-6);
        self::assertEqualsWithDelta(0.0403 * 0.0254, Conductor::awgDiameter(18), 2e-6);
        self::assertEqualsWithDelta(0.005 * 0.0254, Conductor::awgDiameter(36), 1e-9);
    }

    /** BS 7671 table 4F3A, NEC 402.5 and, for 8 and 6 AWG, 400.5 (all from memory); 20 AWG and thinner common practice, no source. */
    public function test_flexible_cable_carries_what_the_tables_say(): void
    {
        foreach (
            ['0.5' => 3.0, '0.75' => 6.0, '1' => 10.0, '1.5' => 16.0, '2.5' => 25.0, '4' => 32.0]
            as $size => $amps
        ) {
            self::assertSame($amps, Conductor::from('mm2', (float) $size, 'flexible')->capacity);
        }
        $awg = [26 => 1.0, 24 => 2.0, 22 => 3.0, 20 => 5.0, 18 => 6.0, 16 => 8.0, 14 => 17.0, 12 => 23.0, 10 => 28.0];
        foreach ($awg + [8 => 40.0, 6 => 55.0] as $gauge => $amps) {
            self::assertSame($amps, Conductor::from('awg', $gauge, 'stranded')->capacity);
        }
        self::assertNull(Conductor::from('mm2', 10, 'flexible')->capacity);
        self::assertNull(Conductor::from('awg', 28, 'stranded')->capacity);
    }

    /** IEC 60028: 0.393 % a kelvin at 20 °C; 20 K more make 7.86 %. */
    public function test_warm_copper_resists_more(): void
    {
        self::assertEqualsWithDelta(1.0786, Copper::factor(40), 1e-12);
        self::assertEqualsWithDelta(
            1.0786 * 13.3e-3 * 12,
            Conductor::from('mm2', 1.5, 'flexible')->ohms(12, 40),
            1e-12,
        );
    }

    /** A 10 mm rail of 2 oz (70 µm) copper: 17.241 nΩm / 0.7 mm² = 24.63 mΩ/m. */
    public function test_calculates_a_rail_from_its_copper(): void
    {
        self::assertEqualsWithDelta(0.02463, Copper::rail(0.01, 70e-6), 1e-5);
    }

    public function test_an_unknown_size_is_refused_with_what_there_is(): void
    {
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('0.5, 0.75, 1, 1.25, 1.5, 2.5, 4, 6, 10 mm²');
        Conductor::from('mm2', 3, 'flexible');
    }

    public function test_a_gauge_between_the_gauges_is_refused(): void
    {
        $this->expectException(Refusal::class);
        Conductor::from('awg', 14.5, 'solid');
    }
}
