<?php

declare(strict_types=1);

namespace App\People;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** Refuses passwords that are tried first: common words with digits around them, rows of keys, one sign again and again, the own name or address. */
final readonly class UncommonPassword implements ValidationRule
{
    public const LEAST = 10;

    /** Words that lists of common passwords begin with (from memory), and some of the trade. */
    private const WORDS = [
        'password',
        'passwort',
        'welcome',
        'letmein',
        'iloveyou',
        'sunshine',
        'princess',
        'football',
        'baseball',
        'dragon',
        'monkey',
        'master',
        'shadow',
        'superman',
        'admin',
        'administrator',
        'changeme',
        'secret',
        'qwertyuiop',
        'qwerty',
        'qwertz',
        'azerty',
        'asdfghjkl',
        'zxcvbnm',
        'starwars',
        'whatever',
        'trustno',
        'freedom',
        'hello',
        'login',
        'default',
        'guest',
        'summer',
        'winter',
        'spring',
        'autumn',
        'computer',
        'internet',
        'emberdusk',
        'lighting',
        'installer',
        'electric',
        'electrician',
    ];

    /** Rows in which a password is a walk along the keys or the alphabet. */
    private const ROWS = [
        '01234567890123456789',
        'abcdefghijklmnopqrstuvwxyz',
        'qwertyuiopasdfghjklzxcvbnm',
        'qwertzuiopasdfghjklyxcvbnm',
    ];

    private const FOR_LETTERS = ['0' => 'o', '1' => 'i', '3' => 'e', '4' => 'a', '5' => 's', '$' => 's', '@' => 'a'];

    /** @param  list<string>  $own  names and addresses that it may not be made of */
    public function __construct(private array $own = []) {}

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (is_string($value) && $this->common($value)) {
            $fail(
                'This password is among the first that are tried. Take three or four words that do not belong together.',
            );
        }
    }

    public function common(string $password): bool
    {
        $small = mb_strtolower($password);
        // Without the digits and signs around it, and with letters in place of digits that resemble them.
        $bare = (string) preg_replace('/^[^\p{L}]+|[^\p{L}]+$/u', '', $small);
        $letters = (string) preg_replace('/[^\p{L}]/u', '', strtr($bare, self::FOR_LETTERS));
        if (count(array_unique(mb_str_split($small))) < 4) {
            return true;
        }
        foreach (self::ROWS as $row) {
            if (str_contains($row, $small) || str_contains(strrev($row), $small)) {
                return true;
            }
        }
        $words = array_map(static fn(string $w): string => preg_quote($w, '/'), [...self::WORDS, ...$this->words()]);

        return preg_match('/^(' . implode('|', $words) . ')*$/u', $letters) === 1;
    }

    /** @return list<string> words of names and addresses */
    private function words(): array
    {
        $words = preg_split('/[^\p{L}]+/u', mb_strtolower(implode(' ', $this->own))) ?: [];

        return array_values(array_filter($words, static fn(string $w): bool => mb_strlen($w) > 2));
    }
}
