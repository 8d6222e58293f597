<?php

declare(strict_types=1);

namespace EmberDusk\Kit\Profiles;

/** One part of a gesture: a key pressed so many times, a key held, or the power taken away and given back. */
final readonly class GesturePart
{
    public const PRESS = 'press';

    public const HOLD = 'hold';

    public const CYCLE = 'cycle';

    /** Seconds from one press to the next in an even hand; a power-cycle takes longer. Common practice, no source. */
    private const BEATS = [self::PRESS => 0.35, self::CYCLE => 1.2];

    /** Seconds after which a lamp lights under a held key where no instructions say: assumed. */
    public const UNTIL_LIT = 2.0;

    /**
     * @param  string  $key  empty for the power
     * @param  float|null  $seconds  a press: first to last at most, null without a limit; a hold: how long, null until the lamp lights
     */
    public function __construct(public string $kind, public string $key, public int $times, public ?float $seconds) {}

    /** Seconds that a hand takes for it. */
    public function takes(): float
    {
        return match ($this->kind) {
            self::HOLD => $this->seconds ?? self::UNTIL_LIT,
            default => min(($this->times - 1) * self::BEATS[$this->kind], $this->seconds ?? INF),
        };
    }

    /** Seconds between the presses, or power-cycles, of an even hand. */
    public function beat(): float
    {
        if ($this->times < 2) {
            return 0.0;
        }

        return $this->takes() / ($this->times - 1);
    }

    public function words(): string
    {
        $times = match (true) {
            $this->times === 1 => '',
            $this->times === 2 => ' twice',
            default => " {$this->times} times",
        };

        if (strtolower($this->key) === Gesture::ZONE && $times !== '') {
            $times = ",{$times}";
        }

        return match ($this->kind) {
            self::HOLD => "hold {$this->key} " .
                ($this->seconds === null ? 'until its lamp lights' : sprintf('for %g s', $this->seconds)),
            self::CYCLE => "switch the power off and on{$times}" . $this->within(),
            default => "press {$this->key}{$times}" . $this->within(),
        };
    }

    private function within(): string
    {
        if ($this->seconds === null || $this->times === 1) {
            return '';
        }

        return sprintf(' within %g s', $this->seconds);
    }
}
