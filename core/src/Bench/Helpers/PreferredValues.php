<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Helpers;

/** Resistors that shops have: series E12 (IEC 60063, from memory). Ohms. */
final readonly class PreferredValues
{
    private const E12 = [1.0, 1.2, 1.5, 1.8, 2.2, 2.7, 3.3, 3.9, 4.7, 5.6, 6.8, 8.2];

    /** @return list<float> from 10 ohm to 820 kiloohm, in order */
    public static function all(): array
    {
        $values = [];
        foreach ([10.0, 100.0, 1e3, 10e3, 100e3] as $decade) {
            foreach (self::E12 as $value) {
                $values[] = round($value * $decade, 1);
            }
        }

        return $values;
    }

    /** The largest that is at most so many ohms; null below the smallest. */
    public static function below(float $ohms): ?float
    {
        $fits = array_filter(self::all(), static fn(float $v): bool => $v <= $ohms);

        return $fits === [] ? null : max($fits);
    }

    /** "470 Ω", "1.5 kΩ". */
    public static function say(float $ohms): string
    {
        return $ohms < 1000 ? sprintf('%g Ω', $ohms) : sprintf('%g kΩ', $ohms / 1000);
    }
}
