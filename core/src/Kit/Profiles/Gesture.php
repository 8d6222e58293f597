<?php

declare(strict_types=1);

namespace EmberDusk\Kit\Profiles;

use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/**
 * A gesture on a device, part by part, as in its instructions.
 *
 * Typed as clauses separated by semicolons: `hold ON until lit; press LINK 5 in 3`, `hold ZONE 2`, `cycle 3 in 6`. The key word `zone` is replaced
 * by the zone's key. Seconds throughout.
 */
final readonly class Gesture
{
    private const LONGEST = 6;

    /** Placeholder for the key of a zone. */
    public const ZONE = 'zone';

    /** @param  non-empty-list<GesturePart>  $parts */
    public function __construct(public array $parts) {}

    public static function presses(string $key, int $times, ?float $within): self
    {
        return new self([new GesturePart(GesturePart::PRESS, $key, $times, $within)]);
    }

    /** @throws Refusal at the clause that cannot be read */
    public static function read(string $text): self
    {
        $parts = [];
        foreach (explode(';', $text) as $clause) {
            $parts[] = self::part(trim(preg_replace('/\s+/', ' ', $clause) ?? ''));
        }
        if (count($parts) > self::LONGEST) {
            throw new InvalidInput('A gesture has at most ' . self::LONGEST . ' parts.');
        }

        return new self($parts);
    }

    private static function part(string $clause): GesturePart
    {
        $number = '(\d{1,3}(?:[.,]\d{1,2})?)';
        if (preg_match("/^press (\\S{1,12})(?: (\\d{1,2}))?(?: in {$number})?$/i", $clause, $m)) {
            $within = ($m[3] ?? '') !== '' ? self::seconds($m[3], $clause) : null;

            return new GesturePart(GesturePart::PRESS, $m[1], self::times($m[2] ?? '', $clause), $within);
        }
        if (preg_match("/^hold (\\S{1,12}) (?:(until lit)|{$number})$/i", $clause, $m)) {
            return new GesturePart(GesturePart::HOLD, $m[1], 1, isset($m[3]) ? self::seconds($m[3], $clause) : null);
        }
        if (preg_match("/^cycle(?: (\\d{1,2}))?(?: in {$number})?$/i", $clause, $m)) {
            $within = ($m[2] ?? '') !== '' ? self::seconds($m[2], $clause) : null;

            return new GesturePart(GesturePart::CYCLE, '', self::times($m[1] ?? '', $clause), $within);
        }

        throw new InvalidInput(
            "“{$clause}” is not part of a gesture. Write “press KEY 5 in 3”, “hold KEY 2”, “hold KEY until lit” or “cycle 3”.",
        );
    }

    private static function times(string $digits, string $clause): int
    {
        $times = $digits !== '' ? (int) $digits : 1;
        if ($times < 1 || $times > 20) {
            throw new InvalidInput("“{$clause}”: 1 to 20 times are possible.");
        }

        return $times;
    }

    private static function seconds(string $digits, string $clause): float
    {
        $seconds = (float) str_replace(',', '.', $digits);
        if ($seconds <= 0 || $seconds > 60) {
            throw new InvalidInput("“{$clause}”: must be more than 0 and at most 60 s.");
        }

        return $seconds;
    }

    /** As it is typed. */
    public function write(): string
    {
        return implode(
            '; ',
            array_map(
                static fn(GesturePart $p): string => match ($p->kind) {
                    GesturePart::HOLD => "hold {$p->key} " .
                        ($p->seconds === null ? 'until lit' : sprintf('%g', $p->seconds)),
                    default => trim("{$p->kind} {$p->key}") .
                        ($p->times > 1 ? " {$p->times}" : '') .
                        ($p->seconds === null ? '' : sprintf(' in %g', $p->seconds)),
                },
                $this->parts,
            ),
        );
    }

    /** In words, beginning small; the zone's key by its number where one is meant. */
    public function words(?int $zone = null): string
    {
        $words = implode(', then ', array_map(static fn(GesturePart $p): string => $p->words(), $this->parts));

        if ($zone === null) {
            return $words;
        }

        return str_ireplace(' ' . self::ZONE, " the key of zone {$zone}", $words);
    }

    /** Seconds that a hand takes for all of it, with half a second from part to part. */
    public function takes(): float
    {
        return array_sum(array_map(static fn(GesturePart $p): float => $p->takes(), $this->parts)) +
            0.5 * (count($this->parts) - 1);
    }

    /**
     * Whether a device could confuse the two: the same keys in the same order and the same number of presses. More presses of the same key are
     * distinguished only after the hand stops, so 4 and 5 presses differ, the same number at another speed does not.
     */
    public function likeness(self $other): bool
    {
        $shape = static fn(self $g): string => strtolower(
            implode(';', array_map(static fn(GesturePart $p): string => "{$p->kind} {$p->key} {$p->times}", $g->parts)),
        );

        return $shape($this) === $shape($other);
    }
}
