<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** How names sound: by the Metaphone of each word, and by the letters that differ. */
final readonly class Sound
{
    /** Letters that may differ in names of at least so many: assumed. */
    private const LETTERS = 5;

    /** Whether a listener takes one for the other. */
    public static function same(string $one, string $other): bool
    {
        [$a, $b] = [self::heard($one), self::heard($other)];
        if ($a === $b) {
            return true;
        }
        // Numbers are heard as what they are.
        if ($a === '' || $b === '' || self::numbers($a) !== self::numbers($b)) {
            return false;
        }
        $keys = [self::key($a), self::key($b)];
        if ($keys[0] === $keys[1] && strlen($keys[0]) > 1) {
            return true;
        }

        // A slip of one letter in a name that is long enough to be the same one.
        return min(strlen($a), strlen($b)) >= self::LETTERS && levenshtein($a, $b) === 1;
    }

    /** Small letters without accents, signs and double spaces; letters of other scripts as they are. */
    private static function heard(string $name): string
    {
        $plain = iconv('UTF-8', 'ASCII//TRANSLIT//IGNORE', mb_strtolower($name));
        $plain = trim((string) preg_replace('/[^a-z0-9]+/', ' ', $plain === false ? '' : $plain));

        return $plain === '' ? mb_strtolower(trim($name)) : $plain;
    }

    private static function numbers(string $heard): string
    {
        return (string) preg_replace('/[^0-9]+/', ' ', $heard);
    }

    private static function key(string $heard): string
    {
        return implode(' ', array_map(metaphone(...), explode(' ', $heard)));
    }
}
