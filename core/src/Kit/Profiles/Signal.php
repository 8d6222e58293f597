<?php

declare(strict_types=1);

namespace EmberDusk\Kit\Profiles;

use EmberDusk\Formats\Fields;

/** A pattern of a lamp: seconds on and off in turn, beginning with on. An empty one shows nothing. */
final readonly class Signal
{
    /** A flash of up to so many seconds is called quick. */
    private const QUICK = 0.4;

    /** @param  list<float>  $times seconds, on, off, on, off … */
    public function __construct(public array $times) {}

    public static function read(Fields $f, string $key): self
    {
        return new self($f->numbers($key, 0.05, 30));
    }

    public function seconds(): float
    {
        return array_sum($this->times);
    }

    /** In words: "3 quick, then 2 slow". */
    public function words(): string
    {
        $groups = [];
        foreach ($this->times as $n => $seconds) {
            if ($n % 2 === 1) {
                continue;
            }
            $word = $seconds <= self::QUICK ? 'quick' : 'slow';
            $last = count($groups) - 1;
            if ($last >= 0 && $groups[$last][1] === $word) {
                $groups[$last][0]++;
            } else {
                $groups[] = [1, $word];
            }
        }
        if ($groups === []) {
            return 'nothing';
        }

        return implode(', then ', array_map(static fn(array $g): string => "{$g[0]} {$g[1]}", $groups));
    }

    /** Whether the lamp is lit so many seconds after the pattern began. */
    public function litAt(float $seconds): bool
    {
        foreach ($this->times as $n => $time) {
            if ($seconds < $time) {
                return $seconds >= 0 && $n % 2 === 0;
            }
            $seconds -= $time;
        }

        return false;
    }
}
