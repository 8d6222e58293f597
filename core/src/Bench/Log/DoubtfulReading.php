<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Log;

use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Values\Range;

/** A reading that looks like a typing error: the question to ask, and its likely intended value. */
final readonly class DoubtfulReading
{
    /** Below this no doubt is raised: a meter of 0.1 mV resolution shows nothing. */
    private const LEAST = 3e-4;

    /** How near a value of the wrong sign has to be to the right one. */
    private const NEAR = 0.25;

    private function __construct(public string $asks, public ?float $meant) {}

    /** Null if there is no doubt. */
    public static function from(float $value, string $unit, ?Range $expected): ?self
    {
        $most = Multimeter::RANGES[count(Multimeter::RANGES) - 1];
        if (abs($value) >= $most || self::fits($value / 1000, $expected)) {
            return new self(sprintf('%.5g %s: is it in m%s?', $value, $unit, $unit), $value / 1000);
        }
        $middle = $expected !== null ? ($expected->low + $expected->high) / 2 : 0.0;
        if (abs($middle) > self::LEAST && abs($value + $middle) < self::NEAR * abs($middle)) {
            return new self(
                'The other sign than expected: are the probes the wrong way round? If they are not, two leads are swapped.',
                -$value,
            );
        }
        if (self::fits(1000 * $value, $expected)) {
            return new self(sprintf('%.5g %s: was it %.5g %s?', $value, $unit, 1000 * $value, $unit), 1000 * $value);
        }

        return null;
    }

    /** Whether good wiring gives such a value, so that a slip of a thousand explains the other: a bad joint reads hundreds of times too much. */
    private static function fits(float $value, ?Range $expected): bool
    {
        if (
            $expected === null ||
            abs($value) < self::LEAST ||
            max(abs($expected->low), abs($expected->high)) < self::LEAST
        ) {
            return false;
        }
        $meter = Multimeter::tolerance($value);

        return $value >= $expected->low - $meter && $value <= $expected->high + $meter;
    }
}
