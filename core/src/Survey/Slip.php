<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** An error in the wall notes: its position, the problem, and a suggestion. */
final readonly class Slip
{
    /**
     * @param  int  $line  from 1
     * @param  int  $column  from 0, in characters
     * @param  int  $length  characters; 0 when something is missing there
     * @param  string|null  $instead  what would fix it, put in place of the word
     */
    public function __construct(
        public int $line,
        public int $column,
        public int $length,
        public string $message,
        public ?string $instead = null,
    ) {}
}
