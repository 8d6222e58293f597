<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Circuit\Colour;
use EmberDusk\Plan\Tuning;

/**
 * Dimming curves: the duty that a controller gives for a level that is asked of it, and back. Both are shares of full.
 *
 * Logarithmic by IEC 62386-102: arc power n of 1 to 254 gives 10 ^ ((n - 1) / (253 / 3) - 1) per cent. Even to the eye by CIE 15: the
 * level is the lightness L* / 100 and the duty the luminance that has it.
 */
final readonly class Curve
{
    /** Arc power levels (IEC 62386-102). */
    private const ARC = 254;

    /** Output at the lowest level. */
    private const LEAST = 0.001;

    /** Below this L* the curve of CIE 15 is straight. */
    private const STRAIGHT = 8.0;

    private const KAPPA = 903.2962962962963;

    public static function duty(string $curve, float $level): float
    {
        $level = min(1.0, max(0.0, $level));
        if ($level === 0.0) {
            return 0.0;
        }

        return match ($curve) {
            'square' => $level ** 2,
            'dali' => max(self::LEAST, 10 ** ((self::ARC * $level - 1) / ((self::ARC - 1) / 3) - 3)),
            'lightness' => 100 * $level > self::STRAIGHT
                ? ((100 * $level + 16) / 116) ** 3
                : (100 * $level) / self::KAPPA,
            default => $level,
        };
    }

    /** The level for which a duty is given. */
    public static function level(string $curve, float $duty): float
    {
        $duty = min(1.0, max(0.0, $duty));
        if ($duty === 0.0) {
            return 0.0;
        }

        return match ($curve) {
            'square' => sqrt($duty),
            'dali' => max(0.0, ((log10($duty) + 3) * ((self::ARC - 1) / 3) + 1) / self::ARC),
            'lightness' => Colour::lightness($duty),
            default => $duty,
        };
    }

    public static function for(?Tuning $tuning): string
    {
        return $tuning->curve ?? '';
    }
}
