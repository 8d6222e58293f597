<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/**
 * One line of a join run's log: when (run seconds), what, on which device, and what more there is to it.
 *
 * Done by hand: the kinds of {@see Act}. Answered: done (hands finished), saw, found (text: name in the app's list), named (text: name,
 * room), mended (text: the fault). Added by the guide: joined.
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

    /**
     * @param  StepKey|null  $step  that was done or looked at
     * @param  Observation|null  $seen  at that step
     * @param  bool|null  $wasSo  whether the fault was there, and has been fixed
     */
    public function __construct(
        public float $at,
        public string $kind,
        public string $device,
        public string $text = '',
        public ?StepKey $step = null,
        public ?Observation $seen = null,
        public ?bool $wasSo = null,
    ) {}

    /** A line from its written form: answers are texts there, such as “join c1 h1/reset|nothing” and “dead|yes”. */
    public static function read(float $at, string $kind, string $device, string $text): self
    {
        $bar = strrpos($text, '|');
        [$before, $after] = $bar === false ? [$text, ''] : [substr($text, 0, $bar), substr($text, $bar + 1)];

        return match ($kind) {
            self::DONE => new self($at, $kind, $device, step: StepKey::read($text)),
            self::SAW => new self($at, $kind, $device, '', StepKey::read($before), Observation::tryFrom($after)),
            self::MENDED => new self($at, $kind, $device, $before, wasSo: $after === StepAnswer::YES),
            default => new self($at, $kind, $device, $text),
        };
    }

    /** What was seen, or whether the fault was there: one word; null for anything else. */
    public function answer(): ?string
    {
        if ($this->wasSo === null) {
            return $this->seen?->value;
        }

        return $this->wasSo ? StepAnswer::YES : StepAnswer::NO;
    }

    /** Its text in the written form. */
    public function written(): string
    {
        return match ($this->kind) {
            self::DONE => $this->step?->key() ?? '',
            self::SAW => ($this->step?->key() ?? '') . '|' . $this->answer(),
            self::MENDED => $this->text . '|' . $this->answer(),
            default => $this->text,
        };
    }
}
