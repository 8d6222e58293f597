<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Protection;

use EmberDusk\Kit\Supply;

/**
 * Whether a supply's output lies inside the limited power of NEC chapter 9 table 11(B) (from memory): up to 20 V d.c. 5 A and
 * 5 x V volt-amperes, from 20 to 60 V 100 volt-amperes. It is told, never claimed as compliance.
 */
final readonly class LimitedPower
{
    /** Amps that an output of so many volts may keep up; 0 above 60 V. */
    public static function amps(float $volts): float
    {
        return match (true) {
            $volts <= 20.0 => 5.0,
            $volts <= 60.0 => 100.0 / $volts,
            default => 0.0,
        };
    }

    public static function words(Supply $supply): string
    {
        $most = self::amps($supply->volts);
        $inside = $supply->overloadAmps <= $most + 1e-9;

        return sprintf(
            'Can keep up %.1f A; limited power ends at %.1f A for %g V (NEC chapter 9 table 11(B), from memory): %s. Local codes decide what follows from it.',
            $supply->overloadAmps,
            $most,
            $supply->volts,
            $inside ? 'inside' : 'outside',
        );
    }
}
