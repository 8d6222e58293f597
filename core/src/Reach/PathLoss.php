<?php

declare(strict_types=1);

namespace EmberDusk\Reach;

/**
 * Radio path loss inside a building: ITU-R P.1238-7, site-general (from memory): L = 20 log10 f + N log10 d + Lf - 28, f in MHz, d in metres from 1
 * on, in dB. Walls are already inside N.
 */
final readonly class PathLoss
{
    /** At 2.4 GHz, by what kind of building it is. */
    public const HOME = 28.0;

    public const OFFICE = 30.0;

    /** Middle of the band, in MHz. */
    public const BAND = 2440.0;

    /** Of a floor that is gone through, in dB. */
    public const FLOOR = [self::HOME_KEY => 5.0, self::FLATS_KEY => 10.0, self::OFFICE_KEY => 14.0];

    public const HOME_KEY = 'house';

    public const FLATS_KEY = 'flats';

    public const OFFICE_KEY = 'office';

    /** Sent by a device on mains (common practice, no source), and heard at least (IEEE 802.15.4 at 2.4 GHz, from memory), in dBm. */
    public const SENT = 8.0;

    public const HEARD = -85.0;

    /** Required margin in dB: doors, people, wet weather. Common practice, no source. */
    public const MARGIN = 10.0;

    public static function over(float $metres, int $floors = 0, string $building = self::HOME_KEY): float
    {
        $exponent = $building === self::OFFICE_KEY ? self::OFFICE : self::HOME;

        return 20 * log10(self::BAND) +
            $exponent * log10(max(1.0, $metres)) +
            $floors * (self::FLOOR[$building] ?? self::FLOOR[self::HOME_KEY]) -
            28.0;
    }

    /** Remaining margin at the other end, in dB; below the required margin the link is unreliable. */
    public static function spare(float $metres, int $floors = 0, string $building = self::HOME_KEY): float
    {
        return self::SENT - self::over($metres, $floors, $building) - self::HEARD;
    }
}
