<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

use EmberDusk\Survey\Word;

/** A stretch of one line of the notes: line from 1, columns from 0, in characters; the end is not in it. */
final readonly class Span
{
    public function __construct(public int $line, public int $from, public int $to) {}

    public static function over(Word $first, Word $last): self
    {
        return new self($first->line, $first->column, $last->column + $last->length());
    }

    public function with(self $other): self
    {
        return new self($this->line, min($this->from, $other->from), max($this->to, $other->to));
    }
}
