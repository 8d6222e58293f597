<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/**
 * Reads a length from a clause: `3.80`, `3,80 m`, `380 cm`, `3 ft 4 1/2 in`, `3ft 4in`, `40 1/2 in`.
 *
 * A number without a unit is metres.
 */
final readonly class LengthReader
{
    private const FRACTION = '/^(\d{1,3})\/(\d{1,3})$/';

    /** @throws SlipFound when no length stands there */
    public static function take(Clause $clause, string $expected): MeasuredWord
    {
        if (self::isFraction($clause->peek())) {
            // Less than an inch: 3/4 in.
            $first = $clause->peek();
            [$metres, $last] = self::inches($clause, $first ?? $clause->first());

            return new MeasuredWord(($first ?? $last)->to($last), $metres, Length::IMPERIAL);
        }
        $first = $clause->take();
        [$number, $unit] = self::split($first);
        if ($first === null || $number === null) {
            return new MeasuredWord($first ?? new Word('', 1, 0), $clause->number($first, $expected), Length::METRIC);
        }
        $last = $first;
        [$value, $last] = $unit === null ? self::fraction($clause, $number, $last) : [$number, $last];
        if ($unit === null && self::isUnit($clause->peek())) {
            $last = $clause->take() ?? $last;
            $unit = mb_strtolower($last->text);
        }
        if ($unit === null && $last !== $first) {
            throw new SlipFound($clause->slip($last, 'Type “in” after a fraction.'));
        }
        $metres = $value * Length::UNITS[$unit ?? 'm'];
        if ($unit === 'ft' || $unit === "'") {
            [$inches, $last] = self::inches($clause, $last);
            $metres += $inches;
        }

        return new MeasuredWord($first->to($last), $metres, Length::system($unit ?? 'm'));
    }

    /**
     * A length alone, in metres.
     *
     * @throws SlipFound when the text is none
     */
    public static function text(string $text): float
    {
        $clauses = WallWords::clauses($text);
        $clause = new Clause($clauses[0] ?? [new Word('', 1, 0)]);
        $metres = self::take($clause, 'a length, such as 3.80 or 12 ft 5 in')->metres;
        $clause->end('Only a length is expected here.');

        return $metres;
    }

    /** Whether a length can begin with this word. */
    public static function begins(Word $word): bool
    {
        return self::split($word)[0] !== null || self::isFraction($word);
    }

    /** @return array{float, Word} metres of the inches that follow feet, none when none do */
    private static function inches(Clause $clause, Word $last): array
    {
        $bare = self::isFraction($clause->peek());
        [$number, $unit] = $bare ? [0.0, null] : self::split($clause->peek());
        if ($number === null || ($unit !== null && !in_array($unit, ['in', '"'], true))) {
            return [0.0, $last];
        }
        if (!$bare) {
            $last = $clause->take() ?? $last;
        }
        if ($unit === null) {
            [$number, $last] = self::fraction($clause, $number, $last);
            $word = $clause->take();
            if ($word === null || !$word->is('in', '"')) {
                throw new SlipFound($clause->slip($word, 'Type inches after feet: a number, then “in”.'));
            }
            $last = $word;
        }

        return [$number * Length::UNITS['in'], $last];
    }

    /** @return array{float, Word} the number with the fraction that follows it, if one does */
    private static function fraction(Clause $clause, float $number, Word $last): array
    {
        $word = $clause->peek();
        if ($word === null || preg_match(self::FRACTION, $word->text, $found) !== 1) {
            return [$number, $last];
        }
        $clause->take();
        if ((int) $found[2] === 0 || (int) $found[1] >= (int) $found[2]) {
            throw new SlipFound($clause->slip($word, "“{$word->text}” is no fraction of an inch."));
        }

        return [$number + (int) $found[1] / (int) $found[2], $word];
    }

    /** @return array{float|null, string|null} number and unit of one word, such as 3.80 or 4in */
    private static function split(?Word $word): array
    {
        if (
            $word === null ||
            preg_match('/^(' . Number::PATTERN . ')(m|cm|mm|ft|in|\'|")?$/i', $word->text, $found) !== 1
        ) {
            return [null, null];
        }

        return [Number::read($found[1]), isset($found[2]) ? mb_strtolower($found[2]) : null];
    }

    /** Whether a number follows, with or without a unit; a fraction belongs to the number before it. */
    public static function isNumber(Word $word): bool
    {
        return self::split($word)[0] !== null;
    }

    private static function isFraction(?Word $word): bool
    {
        return $word !== null && preg_match(self::FRACTION, $word->text) === 1;
    }

    private static function isUnit(?Word $word): bool
    {
        return $word !== null && isset(Length::UNITS[mb_strtolower($word->text)]);
    }
}
