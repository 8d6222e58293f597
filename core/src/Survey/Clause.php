<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

use EmberDusk\Survey\Site\RunNote;
use EmberDusk\Survey\Site\SiteReader;

/** A clause of the wall notes being read word by word. */
final class Clause
{
    private const NOTATION = ['start', 'left', 'right', 'close', 'gap', 'at', 'down', ...SiteReader::KEYWORDS];

    /** Keywords of the notes, for highlighting. */
    public const WORDS = [...self::NOTATION, 'up', 'and', 'to'];

    /** Words that no run can have in its name: each has a meaning where a name stands. */
    private const RESERVED = [
        'start',
        'close',
        'up',
        'down',
        'gap',
        'at',
        'and',
        'main',
        'accent',
        ...RunNote::MOUNTINGS,
    ];

    private int $at = 0;

    /** @param  non-empty-list<Word>  $words */
    public function __construct(private readonly array $words) {}

    public function peek(int $ahead = 0): ?Word
    {
        return $this->words[$this->at + $ahead] ?? null;
    }

    public function take(): ?Word
    {
        return $this->words[$this->at++] ?? null;
    }

    public function first(): Word
    {
        return $this->words[0];
    }

    /** The word that was taken last. */
    public function last(): Word
    {
        return $this->words[max(0, min($this->at, count($this->words)) - 1)];
    }

    /**
     * The word after the next comma; null at the clause's end.
     *
     * @throws SlipFound when there is no comma, or nothing behind it
     */
    public function attribute(): ?Word
    {
        $comma = $this->peek();
        if ($comma === null) {
            return null;
        }
        if ($comma->text !== ',') {
            throw new SlipFound(
                $this->slip($comma, "“{$comma->text}” is not expected here: start the next item after a comma."),
            );
        }
        $this->take();

        return $this->take() ?? throw new SlipFound($this->slip(null, 'After the comma something is missing.'));
    }

    /**
     * Error for a word that is not understood there.
     *
     * @param  list<string>  $known
     */
    public function unknown(Word $word, string $of, array $known, string $also = ''): SlipFound
    {
        foreach ($known as $one) {
            if (self::alike(mb_strtolower($word->text), $one)) {
                return new SlipFound(
                    $this->slip($word, "“{$word->text}” is not understood for {$of}. Did you mean {$one}?", $one),
                );
            }
        }

        return new SlipFound(
            $this->slip(
                $word,
                "“{$word->text}” is not understood for {$of}. Possible: " . implode(', ', $known) . $also . '.',
            ),
        );
    }

    /** @throws SlipFound when the word is no whole number from 1 to the most */
    public function count(?Word $word, string $expected, int $most): int
    {
        if (
            $word === null ||
            preg_match('/^\d{1,4}$/', $word->text) !== 1 ||
            (int) $word->text < 1 ||
            (int) $word->text > $most
        ) {
            throw new SlipFound($this->slip($word, "Expected {$expected}, a whole number from 1 to {$most}."));
        }

        return (int) $word->text;
    }

    /**
     * A number with its unit, in one word or two: 8V, 8 V.
     *
     * @param  list<string>  $units
     *
     * @throws SlipFound
     */
    public function quantity(?Word $word, array $units, string $expected, float $least, float $most): float
    {
        $found = [];
        $pattern = '/^(' . Number::PATTERN . ')(' . implode('|', $units) . ')?$/i';
        if ($word === null || preg_match($pattern, $word->text, $found) !== 1) {
            throw new SlipFound($this->slip($word, "Expected {$expected}."));
        }
        if (!isset($found[2])) {
            $unit = $this->take();
            if ($unit === null || !$unit->is(...$units)) {
                throw new SlipFound($this->slip($unit, "Expected {$expected}: the unit is missing."));
            }
        }
        $value = Number::read($found[1]) ?? 0.0;
        if ($value < $least || $value > $most) {
            throw new SlipFound($this->slip($word, "Expected {$expected}, from {$least} to {$most}."));
        }

        return $value;
    }

    /**
     * The name of a run: one word, or several that are joined by hyphens, up to a comma or the word after it.
     *
     * @throws SlipFound without such a name
     */
    public function name(string $expected, string $until = ''): Word
    {
        $first = $this->peek();
        $name = [];
        while (($word = $this->peek()) !== null && $word->text !== ',' && ($name === [] || !$word->is($until))) {
            $this->take();
            if ($word->is(...self::RESERVED) || isset(Length::UNITS[mb_strtolower($word->text)])) {
                throw new SlipFound(
                    $this->slip(
                        $word,
                        $word->is('gap') || $name !== []
                            ? "Type a comma before “{$word->text}”."
                            : "“{$word->text}” is a keyword of the notes and cannot be the name of a run.",
                    ),
                );
            }
            $name[] = $word->text;
        }
        $text = implode('-', $name);
        if ($first === null || preg_match('/^\p{L}[\p{L}\p{N}_-]{0,23}$/u', $text) !== 1) {
            throw new SlipFound(
                $this->slip($first, "Expected {$expected}: words that start with a letter, at most 24 letters."),
            );
        }

        return new Word($text, $first->line, $first->column, $first->to($this->last())->length());
    }

    public function rest(): string
    {
        $text = implode(' ', array_map(static fn(Word $w): string => $w->text, array_slice($this->words, $this->at)));
        $this->at = count($this->words);

        return $text;
    }

    /** @throws SlipFound when words are left over */
    public function end(string $message): void
    {
        if ($this->peek() !== null) {
            throw new SlipFound($this->slip($this->peek(), $message));
        }
    }

    /** @throws SlipFound */
    public function keyword(string $keyword, string $message): void
    {
        $word = $this->take();
        if ($word === null || !$word->is($keyword)) {
            $near = $word !== null && levenshtein(mb_strtolower($word->text), $keyword) <= 1;
            throw new SlipFound($this->slip($word, $message, $near ? $keyword : null));
        }
    }

    /** @throws SlipFound when the word is missing or no number */
    public function number(?Word $word, string $expected): float
    {
        if ($word === null) {
            throw new SlipFound($this->slip(null, "Here {$expected} is missing."));
        }

        return Number::read($word->text) ?? throw new SlipFound($this->notNumber($word, $expected));
    }

    /** The slip at a word, or after the clause's last word when it is missing. */
    public function slip(?Word $word, string $message, ?string $instead = null): Slip
    {
        if ($word !== null) {
            return new Slip(
                line: $word->line,
                column: $word->column,
                length: $word->length(),
                message: $message,
                instead: $instead,
            );
        }
        $last = $this->words[count($this->words) - 1];

        return new Slip(
            line: $last->line,
            column: $last->column + $last->length(),
            length: 0,
            message: $message,
            instead: $instead,
        );
    }

    /** One letter off, or the same letters in another order. */
    private static function alike(string $word, string $known): bool
    {
        return strlen($known) > 2 &&
            (levenshtein($word, $known) === 1 || count_chars($word, 1) === count_chars($known, 1));
    }

    private function notNumber(Word $word, string $expected): Slip
    {
        // A letter O for a zero, a letter l or I for a one: thumb typing errors.
        $mended = strtr($word->text, ['O' => '0', 'o' => '0', 'l' => '1', 'I' => '1']);
        if ($mended !== $word->text && Number::read($mended) !== null && preg_match('/\d/', $word->text) === 1) {
            return $this->slip(
                $word,
                "“{$word->text}” has a letter among its digits. Did you mean {$mended}?",
                $mended,
            );
        }
        foreach (self::NOTATION as $known) {
            if (self::alike(mb_strtolower($word->text), $known)) {
                return $this->slip($word, "“{$word->text}” is not understood. Did you mean {$known}?", $known);
            }
        }

        return $this->slip($word, "Expected {$expected}, not “{$word->text}”.");
    }
}
