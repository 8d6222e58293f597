<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use DateTimeImmutable;
use DateTimeZone;
use EmberDusk\Plan\Position;

/**
 * Sunrise and sunset of a site to the minute: upper limb on the horizon, 34' of refraction, as almanacs have it. The sun's place by the
 * low-accuracy formulas of Meeus, Astronomical Algorithms, 25 and 28 (from memory). PHP's own date_sun_info counts the sun's radius twice:
 * its days are up to ten minutes too long.
 */
final readonly class Sun
{
    /** Degrees of the sun's middle when its upper limb is on the horizon: 34' of refraction and 16' of radius. */
    private const HORIZON = -50 / 60;

    /** Julian day of 2000-01-01 12:00, as seconds of Unix. */
    private const EPOCH = 946_728_000;

    private const CENTURY = 36_525 * 86_400;

    private DateTimeZone $zone;

    /** @param  string  $zone  of the clock where the position names none */
    public function __construct(private Position $position, string $zone)
    {
        $this->zone = new DateTimeZone($position->zone === '' ? $zone : $position->zone);
    }

    /** @param  string  $day  YYYY-MM-DD of the site's calendar */
    public function on(string $day): SunDay
    {
        $midnight = new DateTimeImmutable("{$day} 00:00", $this->zone);
        $noon = $this->transit($midnight->getTimestamp() + 43_200);
        $arc = $this->arc($noon);
        if (is_string($arc)) {
            return new SunDay(null, null, $arc);
        }
        $ends = [];
        foreach ([-1, 1] as $side) {
            $at = $noon + $side * 240 * $arc;
            // The sun moves on between noon and its rise or set.
            $later = $this->arc($at);
            $at = $this->transit($at) + $side * 240 * (is_string($later) ? $arc : $later);
            $ends[] = $this->minutes($at, $midnight);
        }

        return new SunDay($ends[0], $ends[1]);
    }

    /** Seconds of Unix at which the sun is highest, of the time nearest to this. */
    private function transit(float $at): float
    {
        $noon = 43_200 - 240 * $this->position->longitude - 60 * self::equation($at);

        return $noon + 86_400 * round(($at - $noon) / 86_400);
    }

    /** Degrees that the earth turns from sunrise to noon, or why it does not rise or set. */
    private function arc(float $at): float|string
    {
        $latitude = deg2rad(max(-89.99, min(89.99, $this->position->latitude)));
        $declination = self::declination($at);
        $cosine =
            (sin(deg2rad(self::HORIZON)) - sin($latitude) * sin($declination)) / (cos($latitude) * cos($declination));

        return match (true) {
            $cosine < -1 => SunDay::UP,
            $cosine > 1 => SunDay::DOWN,
            default => rad2deg(acos($cosine)),
        };
    }

    private static function place(float $at): SunPlace
    {
        $t = ($at - self::EPOCH) / self::CENTURY;
        $mean = 280.46646 + 36_000.76983 * $t + 0.0003032 * $t ** 2;
        $anomaly = deg2rad(357.52911 + 35_999.05029 * $t - 0.0001537 * $t ** 2);
        $centre =
            (1.914602 - 0.004817 * $t) * sin($anomaly) +
            (0.019993 - 0.000101 * $t) * sin(2 * $anomaly) +
            0.000289 * sin(3 * $anomaly);
        $node = deg2rad(125.04 - 1934.136 * $t);

        return new SunPlace(
            deg2rad($mean),
            $anomaly,
            deg2rad($mean + $centre - 0.00569 - 0.00478 * sin($node)),
            deg2rad(23.439291 - 0.0130042 * $t + 0.00256 * cos($node)),
        );
    }

    private static function declination(float $at): float
    {
        $sun = self::place($at);

        return asin(sin($sun->obliquity) * sin($sun->longitude));
    }

    /** Minutes by which the sun is ahead of the mean sun. */
    private static function equation(float $at): float
    {
        $sun = self::place($at);
        [$mean, $anomaly, $obliquity] = [$sun->mean, $sun->anomaly, $sun->obliquity];
        $eccentricity = 0.016708634;
        $y = tan($obliquity / 2) ** 2;

        return 4 *
            rad2deg(
                $y * sin(2 * $mean) -
                    2 * $eccentricity * sin($anomaly) +
                    4 * $eccentricity * $y * sin($anomaly) * cos(2 * $mean) -
                    0.5 * $y ** 2 * sin(4 * $mean) -
                    1.25 * $eccentricity ** 2 * sin(2 * $anomaly),
            );
    }

    /** Minutes of the site's clock from its midnight, to the nearest; below 0 or above 1,440 on the day before or after. */
    private function minutes(float $at, DateTimeImmutable $midnight): int
    {
        $clock = (new DateTimeImmutable('@' . (int) (60 * round($at / 60))))->setTimezone($this->zone);
        $days = (int) $midnight->setTime(0, 0)->diff($clock->setTime(0, 0))->format('%r%a');

        return 1440 * $days + 60 * (int) $clock->format('G') + (int) $clock->format('i');
    }
}
