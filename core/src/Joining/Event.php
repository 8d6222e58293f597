<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/**
 * One line of a join run's log: when (run seconds), what, on which device, and what more there is to it.
 *
 * Done by hand: the kinds of {@see Act}. Answered: done (hands finished), saw (text: step and observation), found (text: name in the app's list),
 * named (text: name, room), fixed (text: fault, yes or no). Added by the guide: joined.
 */
final readonly class Event
{
    public const DONE = 'done';

    public const SAW = 'saw';

    public const FOUND = 'found';

    public const NAMED = 'named';

    public const MENDED = 'mended';

    /** A light answers to something from now on. */
    public const JOINED = 'joined';

    public const ANSWERS = [self::DONE, self::SAW, self::FOUND, self::NAMED, self::MENDED];

    public function __construct(
        public float $at,
        public string $kind,
        public string $device,
        public string $text = '',
    ) {}

    /** @return array{string, string} the text before and after its last bar */
    public function parts(): array
    {
        $at = strrpos($this->text, '|');

        if ($at === false) {
            return [$this->text, ''];
        }

        return [substr($this->text, 0, $at), substr($this->text, $at + 1)];
    }
}
