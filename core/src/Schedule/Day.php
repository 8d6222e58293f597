<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use DateTimeImmutable;
use EmberDusk\Formats\Fields;

/** Days as YYYY-MM-DD. */
final readonly class Day
{
    /** @throws \EmberDusk\Values\Refusal when there is no such day */
    public static function read(Fields $f, string $key): string
    {
        $day = $f->string($key, 10);
        $read = DateTimeImmutable::createFromFormat('!Y-m-d', $day);
        if ($read === false || $read->format('Y-m-d') !== $day || $day < '2000-01-01' || $day > '2999-12-31') {
            throw $f->invalid($key, "“{$day}” is not a date. Write it as 2026-12-01.");
        }

        return $day;
    }

    public static function after(string $day, int $days = 1): string
    {
        return (new DateTimeImmutable($day))->modify("{$days} days")->format('Y-m-d');
    }

    /** Such as Thu 26 Nov. */
    public static function words(string $day): string
    {
        return (new DateTimeImmutable($day))->format('D j M');
    }

    public static function weekend(string $day): bool
    {
        return (int) (new DateTimeImmutable($day))->format('N') > 5;
    }
}
