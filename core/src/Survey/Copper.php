<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** Resistance of copper against temperature. */
final readonly class Copper
{
    /** Ohm metre at 20 °C, annealed copper (IEC 60028). */
    public const RESISTIVITY = 1.7241e-8;

    /** Per kelvin at 20 °C (IEC 60028). */
    public const TEMPERATURE_COEFFICIENT = 0.00393;

    /** Stranded conductors are that much longer than the cable (common practice, as ASTM B8 allows). */
    public const STRANDING = 1.02;

    /** Factor on the resistance at 20 °C for a conductor at so many °C. */
    public static function factor(float $celsius): float
    {
        return 1 + self::TEMPERATURE_COEFFICIENT * ($celsius - 20);
    }

    /** Ohm per metre at 20 °C of a flat rail so wide and thick, in metres. */
    public static function rail(float $width, float $thickness): float
    {
        return self::RESISTIVITY / ($width * $thickness);
    }
}
