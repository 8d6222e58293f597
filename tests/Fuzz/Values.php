<?php

declare(strict_types=1);

namespace Tests\Fuzz;

use Random\Randomizer;

/** Replacements for a good value: near misses and nonsense, by seed. */
final readonly class Values
{
    /** Placeholder for a number that JSON can write and no computer can hold. */
    public const INFINITE = '@@1e999@@';

    /** @param  non-empty-list<string>  $ids  that mean something in the jobs: a right word at a wrong place */
    public function __construct(private Randomizer $chance, private array $ids) {}

    public function id(): string
    {
        return $this->one($this->ids);
    }

    /**
     * @template T
     *
     * @param  non-empty-array<T>  $of
     * @return T
     */
    public function one(array $of): mixed
    {
        return $of[$this->chance->pickArrayKeys($of, 1)[0]];
    }

    public function below(int $n): int
    {
        return $this->chance->getInt(0, $n - 1);
    }

    public function strange(mixed $good): mixed
    {
        return match ($this->below(24)) {
            0 => null,
            1 => true,
            2 => '',
            3 => [],
            4 => [$good, $good],
            5 => ['a' => ['b' => ['c' => $good]]],
            6 => -1,
            7 => 0,
            8 => 1.5,
            9 => PHP_INT_MAX,
            10 => 1e300,
            11 => self::INFINITE,
            12 => '-' . self::INFINITE,
            13 => str_repeat('x', $this->one([81, 300, 5_000, 100_000])),
            14 => "Co\0ve",
            15 => "\x1b[31m\x07",
            16 => $this->one([
                '../../../etc/passwd',
                "' or 1=1 --",
                '<script>alert(1)</script>',
                '{{7*7}}',
                '%00',
                '$.kit',
                '"]',
                "\u{202e}evil",
                '👩‍🔧',
                'ﷺ',
            ]),
            17 => $this->id(),
            18 => $this->one([1, 2, 9_999_999, -5]),
            19 => $this->one(['2026-02-30', '0000-00-00', '9999-12-31', '2026-12-01T10:00:00Z', 'today']),
            20 => array_fill(0, $this->one([30, 300, 3_000]), $good),
            21 => $this->nested($this->one([20, 40, 200])),
            22 => match (true) {
                is_string($good) => strtoupper($good) . ' ',
                is_numeric($good) => (string) $good,
                default => 'x',
            },
            default => is_numeric($good) ? $good * $this->one([-1, 1000, 1e-9, 1.01]) : $good,
        };
    }

    /** @return array<string, mixed> */
    private function nested(int $deep): array
    {
        return ['a' => $deep === 0 ? 1 : $this->nested($deep - 1)];
    }

    /** JSON with the numbers that JSON allows and PHP does not write. */
    public static function json(mixed $value): string
    {
        return strtr((string) json_encode($value, JSON_PARTIAL_OUTPUT_ON_ERROR, 1024), [
            '"-' . self::INFINITE . '"' => '-1e999',
            '"' . self::INFINITE . '"' => '1e999',
        ]);
    }
}
