<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Kit\Profiles\Signal;

/** What is to be done or looked for now: where, what, why, what should be seen, how long there is, what may be answered. */
final readonly class Step
{
    /**
     * @param  list<string>  $answers  kinds of events that answer it
     * @param  array{float, float}|null  $window  run seconds from, to
     */
    public function __construct(
        public string $kind,
        public string $device,
        public string $where,
        public string $title,
        public string $why,
        public array $answers,
        public ?Signal $expect = null,
        public ?array $window = null,
        public string $alert = '',
        public string $caution = '',
    ) {}

    /** The answer that says what was hoped for; empty where nothing is asked. */
    public function yes(): string
    {
        return match ($this->kind) {
            'look-reset' => 'saw-reset',
            'look-joined' => 'saw-joined',
            'identify' => 'identified',
            default => '',
        };
    }

    /** The answer that denies it. */
    public function no(): string
    {
        return match ($this->kind) {
            'look-reset', 'look-joined' => 'saw-nothing',
            'identify' => 'not-identified',
            default => '',
        };
    }
}
