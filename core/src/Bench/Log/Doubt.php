<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Log;

use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Values\Range;

/** A reading that looks as if it was written down wrong: what is asked back, and what it may have been meant to be. */
final readonly class Doubt
{
    /** How many times too large a value looks that was read in thousandths, about. */
    private const THOUSAND = [300.0, 3000.0];

    /** How near a value of the wrong sign has to be to the right one. */
    private const NEAR = 0.25;

    private function __construct(public string $asks, public ?float $meant) {}

    /** Null where nothing speaks against it. */
    public static function of(float $value, string $unit, ?Range $expected): ?self
    {
        $most = Multimeter::RANGES[count(Multimeter::RANGES) - 1];
        $middle = $expected === null ? 0.0 : ($expected->low + $expected->high) / 2;
        $times = abs($middle) < 1e-4 ? 0.0 : $value / $middle;
        if (abs($value) >= $most || (abs($times) >= self::THOUSAND[0] && abs($times) <= self::THOUSAND[1])) {
            return new self("{$value} {$unit}: is it in m{$unit}?", $value / 1000);
        }
        if (abs($middle) > 1e-4 && abs($value + $middle) < self::NEAR * abs($middle)) {
            return new self(
                'The other sign than expected: are the probes the wrong way round? If they are not, two leads are exchanged.',
                -$value,
            );
        }
        $between = 1000 * $value;
        if ($times > 0 && $times < 0.003 && $times > 0.0003 && abs($between) > 1) {
            return new self("{$value} {$unit}: was it " . sprintf('%g', $between) . " {$unit}?", $between);
        }

        return null;
    }
}
