<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** Result of a voice command: its meaning, and the responding lights. */
final readonly class CommandResult
{
    /**
     * @param  string  $words  as an assistant would say it back
     * @param  list<SpokenLight>  $answers
     * @param  string  $note  where more answer than the person who spoke may think
     * @param  string  $trouble  where nothing answers, why
     */
    public function __construct(
        public CommandMeaning $heard,
        public string $words,
        public array $answers,
        public string $trouble,
        public string $note = '',
    ) {}
}
