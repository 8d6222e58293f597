<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Control;

use EmberDusk\Control\Curve;
use EmberDusk\Plan\Tuning;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Dimming curves against the points of their standards. */
final class CurveTest extends TestCase
{
    /** @return iterable<string, array{int, float}> arc power and per cent (IEC 62386-102, table of the dimming curve, from memory) */
    public static function arcs(): iterable
    {
        yield '1' => [1, 0.1];
        yield '60' => [60, 0.501];
        yield '85' => [85, 0.991];
        yield '126' => [126, 3.035];
        yield '170' => [170, 10.091];
        yield '229' => [229, 50.53];
        yield '254' => [254, 100.0];
    }

    #[DataProvider('arcs')]
    public function test_logarithmic_as_dali(int $arc, float $percent): void
    {
        self::assertEqualsWithDelta($percent / 100, Curve::duty('dali', $arc / 254), (0.005 * $percent) / 100);
    }

    /** Lightness (CIE 15, from memory): L* 50 is 18.42 % of the light, L* 8 is 0.886 %, L* 76.07 half of it. */
    public function test_even_to_the_eye(): void
    {
        self::assertEqualsWithDelta(0.1842, Curve::duty('lightness', 0.5), 0.00005);
        self::assertEqualsWithDelta(0.00886, Curve::duty('lightness', 0.08), 0.00001);
        self::assertEqualsWithDelta(0.5, Curve::duty('lightness', 0.7607), 0.0001);
    }

    public function test_square_law_and_linear(): void
    {
        self::assertSame(
            [0.25, 0.5, 0.5],
            [Curve::duty('square', 0.5), Curve::duty('linear', 0.5), Curve::duty('', 0.5)],
        );
    }

    public function test_every_curve_goes_up_from_dark_to_full_and_back_again(): void
    {
        foreach (['', ...array_keys(Tuning::CURVES)] as $curve) {
            self::assertSame([0.0, 0.0], [Curve::duty($curve, 0), Curve::level($curve, 0)]);
            self::assertEqualsWithDelta([1.0, 1.0], [Curve::duty($curve, 1), Curve::duty($curve, 7)], 1e-9);
            $before = 0.0;
            foreach (range(1, 100) as $percent) {
                $duty = Curve::duty($curve, $percent / 100);
                self::assertGreaterThanOrEqual($before, $duty);
                self::assertEqualsWithDelta($percent / 100, Curve::level($curve, $duty), 1e-9, "{$curve} {$percent}");
                $before = $duty;
            }
        }
    }
}
