<?php

declare(strict_types=1);

namespace App\Time;

use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Illuminate\Support\Carbon;
use RuntimeException;

/**
 * The one clock of the application. Moments are kept in UTC; days and hours that people read or type are those of the
 * place where the crew works (EMBER_TIMEZONE). Nothing else asks the machine what time it is.
 */
final readonly class Clock
{
    public static function now(): CarbonImmutable
    {
        return CarbonImmutable::now('UTC');
    }

    /** Milliseconds since 1970, as the page counts them. */
    public static function milliseconds(): int
    {
        return (int) self::now()->getPreciseTimestamp(3);
    }

    /** A moment as the crew's clocks show it. */
    public static function local(CarbonInterface|string $at): CarbonImmutable
    {
        return CarbonImmutable::parse($at)->setTimezone(self::zone());
    }

    /** The crew's day, YYYY-MM-DD. */
    public static function day(): string
    {
        return self::now()->setTimezone(self::zone())->format('Y-m-d');
    }

    /** The crew's hour and minute, HH:MM. */
    public static function hour(): string
    {
        return self::now()->setTimezone(self::zone())->format('H:i');
    }

    /**
     * Shifts the time of the entire application; for tests only. An offset: time goes on from there, by the same offset in every process.
     *
     * @param  string  $now  ISO 8601
     * @param  float  $since  seconds since 1970 at which it was that moment
     */
    public static function shift(string $now, float $since): void
    {
        $there =
            date_create_immutable($now) ?:
            throw new RuntimeException("EMBER_NOW is not a time: “{$now}”. Write it as 2026-11-27T17:30:00+01:00.");
        $offset = (int) round(1e6 * ((float) $there->format('U.u') - $since));
        $shifted = static fn(CarbonInterface $real): CarbonInterface => $real->addMicroseconds($offset);
        Carbon::setTestNow($shifted);
        CarbonImmutable::setTestNow($shifted);
    }

    /** The zone in which the crew works. */
    public static function zone(): string
    {
        $zone = config('ember.timezone');
        if (is_string($zone)) {
            return $zone;
        }

        return 'UTC';
    }
}
