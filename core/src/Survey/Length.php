<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** Lengths as hands write them: metres, or feet and inches with fractions. Metres inside. */
final readonly class Length
{
    public const METRIC = 'metric';

    public const IMPERIAL = 'imperial';

    /** Metres of one, by unit as written. The international inch is 0.0254 m exactly. */
    public const UNITS = [
        'm' => 1.0,
        'cm' => 0.01,
        'mm' => 0.001,
        'ft' => 0.3048,
        "'" => 0.3048,
        'in' => 0.0254,
        '"' => 0.0254,
    ];

    public static function system(string $unit): string
    {
        if (in_array($unit, ['m', 'cm', 'mm'], true)) {
            return self::METRIC;
        }

        return self::IMPERIAL;
    }

    /** A length as typed: 3.80 m, or 12 ft 5 5/8 in. */
    public static function say(float $metres, string $system): string
    {
        return self::write($metres, $system) . ($system === self::METRIC ? ' m' : '');
    }

    /** A short distance that a hand keeps, in both systems: “4 cm (1 1/2 in)”; inches to the quarter below. */
    public static function near(float $metres): string
    {
        return ($metres < 0.3 ? sprintf('%g cm', $metres * 100) : sprintf('%g m', $metres)) .
            ' (' .
            self::write((floor(($metres / 0.0254) * 4) / 4) * 0.0254, self::IMPERIAL) .
            ')';
    }

    /** Text for metres: 3.80, or 12 ft 5 5/8 in, to the nearest sixteenth. */
    public static function write(float $metres, string $system): string
    {
        if ($system === self::METRIC) {
            return number_format($metres, 2, '.', '');
        }
        $sixteenths = (int) round(($metres / 0.0254) * 16);
        $feet = intdiv($sixteenths, 192);
        $inches = intdiv($sixteenths % 192, 16);
        $top = $sixteenths % 16;
        $bottom = 16;
        while ($top > 0 && $top % 2 === 0) {
            $top = intdiv($top, 2);
            $bottom = intdiv($bottom, 2);
        }
        $inch = trim(($inches > 0 ? (string) $inches : '') . ($top > 0 ? " {$top}/{$bottom}" : ''));

        return trim(($feet > 0 ? "{$feet} ft" : '') . ($inch !== '' ? " {$inch} in" : '')) ?: '0 in';
    }
}
