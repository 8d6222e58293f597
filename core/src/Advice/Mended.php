<?php

declare(strict_types=1);

namespace EmberDusk\Advice;

use EmberDusk\Measure\Slip;

/** Tape notes with one slip mended. */
final readonly class Mended
{
    public static function text(string $notes, Slip $slip): string
    {
        $lines = preg_split('/(\r\n|\r|\n)/', $notes, -1, PREG_SPLIT_DELIM_CAPTURE);
        $lines = $lines === false ? [$notes] : $lines;
        $at = 2 * ($slip->line - 1);
        $line = $lines[$at] ?? '';
        $lines[$at] = mb_substr($line, 0, $slip->column).$slip->instead.mb_substr($line, $slip->column + $slip->length);

        return implode('', $lines);
    }
}
