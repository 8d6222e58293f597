<?php

declare(strict_types=1);

namespace EmberDusk\Measure;

/** A clause of the tape notes being read word by word. */
final class Clause
{
    private const NOTATION = ['start', 'left', 'right', 'close', 'gap', 'at', 'down'];

    private int $at = 0;

    /** @param  non-empty-list<Word>  $words */
    public function __construct(private readonly array $words)
    {
    }

    public function peek(int $ahead = 0): ?Word
    {
        return $this->words[$this->at + $ahead] ?? null;
    }

    public function take(): ?Word
    {
        return $this->words[$this->at++] ?? null;
    }

    public function rest(): string
    {
        $text = implode(' ', array_map(static fn (Word $w): string => $w->text, array_slice($this->words, $this->at)));
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
        if ($word === null || ! $word->is($keyword)) {
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
            return new Slip($word->line, $word->column, $word->length(), $message, $instead);
        }
        $last = $this->words[count($this->words) - 1];

        return new Slip($last->line, $last->column + $last->length(), 0, $message, $instead);
    }

    /** One letter off, or the same letters in another order. */
    private static function alike(string $word, string $known): bool
    {
        return strlen($known) > 2 && (levenshtein($word, $known) === 1 || count_chars($word, 1) === count_chars($known, 1));
    }

    private function notNumber(Word $word, string $expected): Slip
    {
        // A letter O for a nought, a letter l or I for a one: the slips of a thumb.
        $mended = strtr($word->text, ['O' => '0', 'o' => '0', 'l' => '1', 'I' => '1']);
        if ($mended !== $word->text && Number::read($mended) !== null && preg_match('/\d/', $word->text) === 1) {
            return $this->slip($word, "“{$word->text}” has a letter among its digits. Meant {$mended}?", $mended);
        }
        foreach (self::NOTATION as $known) {
            if (self::alike(mb_strtolower($word->text), $known)) {
                return $this->slip($word, "“{$word->text}” is not a word of the notation. Meant {$known}?", $known);
            }
        }

        return $this->slip($word, "“{$word->text}” stands where {$expected} belongs.");
    }
}
