<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** A spoken or written number: "20", "12.5", "twenty five", "a hundred and twenty". */
final readonly class SpokenNumber
{
    private const TENS = [
        'twenty' => 20,
        'thirty' => 30,
        'forty' => 40,
        'fifty' => 50,
        'sixty' => 60,
        'seventy' => 70,
        'eighty' => 80,
        'ninety' => 90,
    ];

    private const ONES = [
        'zero' => 0,
        'one' => 1,
        'two' => 2,
        'three' => 3,
        'four' => 4,
        'five' => 5,
        'six' => 6,
        'seven' => 7,
        'eight' => 8,
        'nine' => 9,
        'ten' => 10,
        'eleven' => 11,
        'twelve' => 12,
        'thirteen' => 13,
        'fourteen' => 14,
        'fifteen' => 15,
        'sixteen' => 16,
        'seventeen' => 17,
        'eighteen' => 18,
        'nineteen' => 19,
    ];

    /** @param  int  $size  words that it takes */
    private function __construct(public float $value, public int $size) {}

    /**
     * The number that begins at a word; null where none does.
     *
     * @param  list<string>  $words
     */
    public static function at(array $words, int $n): ?self
    {
        $word = $words[$n] ?? '';
        if (is_numeric($word)) {
            return new self((float) $word, 1);
        }
        $from = $n;
        $value = null;
        if ($word === 'a' && ($words[$n + 1] ?? '') === 'hundred') {
            $n++;
        }
        if (($words[$n] ?? '') === 'hundred') {
            $value = 100;
            $n++;
            if (($words[$n] ?? '') === 'and' && self::small($words, $n + 1) !== null) {
                $n++;
            }
        }
        $small = self::small($words, $n);
        if ($small !== null) {
            $value = ($value ?? 0) + $small[0];
            $n += $small[1];
        }

        return $value === null ? null : new self((float) $value, $n - $from);
    }

    /** Whether a word is part of spoken numbers. */
    public static function word(string $word): bool
    {
        return is_numeric($word) || $word === 'hundred' || isset(self::TENS[$word]) || isset(self::ONES[$word]);
    }

    /**
     * @param  list<string>  $words
     * @return array{int, int}|null value below a hundred, and words that it takes
     */
    private static function small(array $words, int $n): ?array
    {
        $word = $words[$n] ?? '';
        if (isset(self::TENS[$word])) {
            $ones = self::ONES[$words[$n + 1] ?? ''] ?? 0;

            return $ones > 0 && $ones < 10 ? [self::TENS[$word] + $ones, 2] : [self::TENS[$word], 1];
        }

        return isset(self::ONES[$word]) ? [self::ONES[$word], 1] : null;
    }
}
