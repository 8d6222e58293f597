<?php

declare(strict_types=1);

namespace EmberDusk\Formats;

/** Text as files have it. */
final readonly class Utf8
{
    private const MARK = "\xEF\xBB\xBF";

    /** Without the mark that some programs put before it. */
    public static function bare(string $text): string
    {
        if (str_starts_with($text, self::MARK)) {
            return substr($text, strlen(self::MARK));
        }

        return $text;
    }
}
