<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Meter;

use EmberDusk\Values\Dice;
use EmberDusk\Values\Figure;

/**
 * The simulated meter and its error: ranges of 0.2, 2, 20 and 200 (volts, or amps by its clamp) at 2,000 counts, ±(0.5 % + 2 digits) (common
 * practice, no source).
 */
final readonly class Multimeter
{
    public const RANGES = [0.2, 2.0, 20.0, 200.0];

    public const COUNTS = 2000;

    public const SHARE = 0.005;

    public const DIGITS = 2;

    public function __construct(private Dice $dice) {}

    /** The least of its ranges that holds a value. */
    public static function range(float $value): float
    {
        foreach (self::RANGES as $range) {
            if (abs($value) < $range) {
                return $range;
            }
        }

        return self::RANGES[count(self::RANGES) - 1];
    }

    /** One digit of the range that a value is read in. */
    public static function digit(float $value): float
    {
        return self::range($value) / self::COUNTS;
    }

    /** How far from the truth a reading may be, either way. */
    public static function tolerance(float $value): float
    {
        return self::SHARE * abs($value) + self::DIGITS * self::digit($value);
    }

    /** A value as it shows it, with its unit: thousandths in its lowest range. */
    public static function print(float $value, string $unit): string
    {
        return match (self::range($value)) {
            0.2 => Figure::print(1000 * $value, 1) . " m{$unit}",
            2.0 => Figure::print($value, 3) . " {$unit}",
            20.0 => Figure::print($value, 2) . " {$unit}",
            default => Figure::print($value, 1) . " {$unit}",
        };
    }

    /** Meter error as text. */
    public static function words(): string
    {
        return sprintf('%.1f %% and %d digits', 100 * self::SHARE, self::DIGITS);
    }

    /** Displayed value for a true value: with a random error, rounded to the last digit. */
    public function shows(float $true, string $occasion): float
    {
        $off = $this->dice->between(-1.0, 1.0, "meter {$occasion}") * self::tolerance($true);
        $digit = self::digit($true);

        return round(($true + $off) / $digit) * $digit;
    }
}
