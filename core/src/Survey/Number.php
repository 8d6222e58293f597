<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** Numbers as hands write them: decimal point or comma, always a plain positive decimal. */
final readonly class Number
{
    public const PATTERN = '\d+(?:[.,]\d+)?';

    public static function read(string $text): ?float
    {
        if (preg_match('/^' . self::PATTERN . '$/', $text) === 1) {
            return (float) str_replace(',', '.', $text);
        }

        return null;
    }
}
