<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** One word of the wall notes with its place: line from 1, column from 0, both in characters. */
final readonly class Word
{
    public function __construct(public string $text, public int $line, public int $column, private ?int $span = null) {}

    public function is(string ...$words): bool
    {
        return in_array(mb_strtolower($this->text), $words, true);
    }

    public function length(): int
    {
        return $this->span ?? mb_strlen($this->text);
    }

    /** This word and all up to another one of its line, as one. */
    public function to(self $last): self
    {
        if ($last === $this) {
            return $this;
        }

        return new self(
            $this->text . ' … ' . $last->text,
            $this->line,
            $this->column,
            $last->column + $last->length() - $this->column,
        );
    }
}
