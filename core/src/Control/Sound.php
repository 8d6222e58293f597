<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** How a name sounds: by the Metaphone of each word, and by the letters that differ. */
final readonly class Sound
{
    /** Letters that may differ in names of at least so many: assumed. */
    private const LETTERS = 5;

    /**
     * @param  string  $heard lower case without accents, punctuation and double spaces; other scripts unchanged
     * @param  string  $key  Metaphone, word by word
     * @param  string  $numbers  that are in it
     * @param  string  $spelt  letters with sounds that are mistaken for each other written alike
     */
    private function __construct(
        private string $heard,
        private string $key,
        private string $numbers,
        private string $spelt,
    ) {}

    public static function for(string $name): self
    {
        $plain = iconv('UTF-8', 'ASCII//TRANSLIT//IGNORE', mb_strtolower($name));
        $plain = trim((string) preg_replace('/[^a-z0-9]+/', ' ', $plain === false ? '' : $plain));
        $heard = $plain === '' ? mb_strtolower(trim($name)) : $plain;

        return new self(
            $heard,
            implode(' ', array_map(metaphone(...), explode(' ', $heard))),
            (string) preg_replace('/[^0-9]+/', ' ', $heard),
            self::spelt($heard),
        );
    }

    /** Silent letters and plurals left out; th as f, m as n, p as b: assistants mistake them for each other (common practice, no source). */
    private static function spelt(string $heard): string
    {
        return (string) preg_replace(
            [
                '/\bwr/',
                '/\bkn/',
                '/\bps/',
                '/igh(?=t)/',
                '/ght/',
                '/mb\b/',
                '/th|ph/',
                '/m/',
                '/p/',
                '/(?<=[a-z]{2})e?s\b/',
                '/(?<=[a-z]{2})e\b/',
                '/([a-z])\1+/',
            ],
            ['r', 'n', 's', 'i', 't', 'm', 'f', 'n', 'b', '', '', '$1'],
            $heard,
        );
    }

    /** Whether a listener takes one for the other. */
    public static function same(string $one, string $other): bool
    {
        return self::for($one)->like(self::for($other));
    }

    public function like(self $other): bool
    {
        if ($this->heard === $other->heard) {
            return true;
        }
        // Numbers are heard as what they are.
        if ($this->heard === '' || $other->heard === '' || $this->numbers !== $other->numbers) {
            return false;
        }
        if ($this->spelt === $other->spelt && strlen($this->spelt) > 2) {
            return true;
        }
        if ($this->key === $other->key && strlen($this->key) > 1) {
            return true;
        }
        $long = [strlen($this->heard), strlen($other->heard)];

        // A slip of one letter in a name that is long enough to be the same one.
        return min($long) >= self::LETTERS &&
            abs($long[0] - $long[1]) <= 1 &&
            levenshtein($this->heard, $other->heard) === 1;
    }
}
