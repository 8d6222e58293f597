<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** What came of something that was said: how it was understood, and which lights answer. */
final readonly class Spoken
{
    /**
     * @param  string  $words  as an assistant would say it back
     * @param  list<array{light: string, name: string, answers: bool, why: string, level: float}>  $answers
     * @param  string  $note  where more answer than whoever spoke may think
     * @param  string  $trouble  where nothing answers, why
     */
    public function __construct(
        public Heard $heard,
        public string $words,
        public array $answers,
        public string $trouble,
        public string $note = '',
    ) {}
}
