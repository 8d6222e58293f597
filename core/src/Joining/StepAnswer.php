<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A possible answer to a step: sent to the page, which posts it back. */
final readonly class StepAnswer implements JsonWritable
{
    use WrittenRecord;

    /** The hands of a step, done as the instructions have them. */
    public const WORK = 'work';

    public const YES = 'yes';

    public const NO = 'no';

    /** The first of two patterns on one card, and not yet the second. */
    public const FIRST = 'first';

    /**
     * @param  string  $kind  of the event that it makes, or {@see WORK}
     * @param  string  $text  in the written form of {@see Event}; typed text replaces it
     * @param  string  $key  one word for it, different from the other answers of a step
     * @param  bool  $typed  whether a name is typed
     */
    public function __construct(
        public string $kind,
        public string $device,
        public string $text,
        public string $label,
        public string $key,
        public bool $typed = false,
    ) {}

    /** Whether a given answer is this one. */
    public function is(Event $given): bool
    {
        return $this->kind === $given->kind &&
            $this->device === $given->device &&
            ($this->typed || $this->text === $given->written());
    }
}
