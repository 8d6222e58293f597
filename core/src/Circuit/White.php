<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Values\InvalidInput;

/**
 * White by its temperature: a colour of the Planckian locus for kelvin (Krystek 1985, good from 1,000 to 15,000 K), kelvin for a colour
 * (McCamy 1992), and mired, a million through kelvin, in which steps of white look alike.
 */
final readonly class White
{
    public const LEAST = 1000;

    public const MOST = 15_000;

    /** @return array{float, float} x and y (CIE 1931) */
    public static function xy(float $kelvin): array
    {
        if ($kelvin < self::LEAST || $kelvin > self::MOST) {
            throw InvalidInput::at(
                '/kelvin',
                sprintf('White is between %d and %d K here, not %g K.', self::LEAST, self::MOST, $kelvin),
            );
        }
        $t = $kelvin;
        $u =
            (0.860117757 + 1.54118254e-4 * $t + 1.28641212e-7 * $t ** 2) /
            (1 + 8.42420235e-4 * $t + 7.08145163e-7 * $t ** 2);
        $v =
            (0.317398726 + 4.22806245e-5 * $t + 4.20481691e-8 * $t ** 2) /
            (1 - 2.89741816e-5 * $t + 1.61456053e-7 * $t ** 2);
        $sum = 2 * $u - 8 * $v + 4;

        return [(3 * $u) / $sum, (2 * $v) / $sum];
    }

    public static function colour(float $kelvin): Colour
    {
        return Colour::ofXy(...self::xy($kelvin));
    }

    /** Nearest colour temperature of a white; meaningless for other colours. */
    public static function kelvin(Colour $colour): float
    {
        [$x, $y] = $colour->xy();
        $n = ($x - 0.332) / (0.1858 - $y);

        return 449 * $n ** 3 + 3525 * $n ** 2 + 6823.3 * $n + 5520.33;
    }
}
