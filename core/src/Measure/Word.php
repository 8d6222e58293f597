<?php

declare(strict_types=1);

namespace EmberDusk\Measure;

/** One word of the tape notes with its place: line from 1, column from 0, both in characters. */
final readonly class Word
{
    public function __construct(public string $text, public int $line, public int $column)
    {
    }

    public function is(string ...$words): bool
    {
        return in_array(mb_strtolower($this->text), $words, true);
    }

    public function length(): int
    {
        return mb_strlen($this->text);
    }
}
