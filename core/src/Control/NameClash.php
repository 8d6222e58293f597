<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** A name that will make trouble, and what to call the light instead. */
final readonly class NameClash
{
    public const LONG = 'long';

    /** Assistants keep the word for themselves. */
    public const KEPT = 'kept';

    public const HARD = 'hard';

    public const TAKEN = 'taken';

    /** It sounds like another. */
    public const ALIKE = 'alike';

    /**
     * @param  string  $light  controller
     * @param  string  $code  one of the above
     * @param  string  $instead  a name that clashes with nothing; empty where none was found
     */
    public function __construct(
        public string $light,
        public string $code,
        public string $title,
        public string $detail,
        public string $instead,
    ) {}
}
