<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Circuit;

use EmberDusk\Circuit\Colour;
use EmberDusk\Circuit\White;
use EmberDusk\Values\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** White and colour against published tables. */
final class WhiteTest extends TestCase
{
    /**
     * Planckian radiators: Wyszecki and Stiles, Color Science, table 1(3.3.4), from memory.
     *
     * @return iterable<string, array{float, float, float}> kelvin, x, y
     */
    public static function radiators(): iterable
    {
        yield '2,000 K' => [2000, 0.5267, 0.4133];
        yield '2,500 K' => [2500, 0.477, 0.4137];
        // Illuminant A is a radiator of 2,856 K (CIE 15, from memory).
        yield '2,856 K' => [2856, 0.4476, 0.4074];
        yield '3,000 K' => [3000, 0.4369, 0.4041];
        yield '4,000 K' => [4000, 0.3805, 0.3768];
        yield '5,000 K' => [5000, 0.3451, 0.3516];
        yield '6,500 K' => [6500, 0.3135, 0.3237];
        yield '10,000 K' => [10_000, 0.2807, 0.2884];
    }

    #[DataProvider('radiators')]
    public function test_a_white_lies_on_the_planckian_locus(float $kelvin, float $x, float $y): void
    {
        $xy = White::xy($kelvin);
        self::assertEqualsWithDelta($x, $xy[0], 0.0005);
        self::assertEqualsWithDelta($y, $xy[1], 0.0005);
        // And back, by another author's formula (McCamy 1992 is good to some kelvin where people use it).
        self::assertEqualsWithDelta($kelvin, White::kelvin(White::colour($kelvin)), 0.015 * $kelvin);
    }

    /** D65 has 6,504 K (CIE 15, from memory). */
    public function test_daylight_has_its_colour_temperature(): void
    {
        self::assertEqualsWithDelta(6504, White::kelvin(Colour::ofXy(0.31271, 0.32902)), 20);
    }

    public function test_a_temperature_that_no_white_has_is_refused(): void
    {
        $this->expectException(InvalidInput::class);
        $this->expectExceptionMessage('White is between 1000 and 15000 K here');
        White::xy(999);
    }

    /** @return iterable<string, array{string, float, float, float}> hex, x, y, luminance (IEC 61966-2-1: primaries, white point, transfer function) */
    public static function primaries(): iterable
    {
        yield 'red' => ['#ff0000', 0.64, 0.33, 0.2126];
        yield 'green' => ['#00ff00', 0.3, 0.6, 0.7152];
        yield 'blue' => ['#0000ff', 0.15, 0.06, 0.0722];
        yield 'white' => ['#ffffff', 0.3127, 0.329, 1.0];
        // 128 / 255 is 0.2158605 of full light, 10 / 255 is on the straight part: 0.0030353.
        yield 'middle grey' => ['#808080', 0.3127, 0.329, 0.2158605];
        yield 'nearly black' => ['#0a0a0a', 0.3127, 0.329, 0.0030353];
    }

    #[DataProvider('primaries')]
    public function test_colours_of_a_screen_are_those_of_its_standard(
        string $hex,
        float $x,
        float $y,
        float $light,
    ): void {
        $colour = Colour::ofHex($hex);
        self::assertEqualsWithDelta([$x, $y], $colour->xy(), 0.0002);
        self::assertEqualsWithDelta($light, $colour->y, 0.0001);
    }
}
