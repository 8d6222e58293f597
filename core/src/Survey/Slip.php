<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** A word of the tape notes that cannot be read: where it stands, what is wrong, what to write instead. */
final readonly class Slip
{
    /**
     * @param  int  $line  from 1
     * @param  int  $column  from 0, in characters
     * @param  int  $length  characters; 0 when something is missing there
     * @param  string|null  $instead  what would mend it, put in place of the word
     */
    public function __construct(
        public int $line,
        public int $column,
        public int $length,
        public string $message,
        public ?string $instead = null,
    ) {}
}
