<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** How bad a finding is, worst first. */
enum Severity: string
{
    case Stop = 'stop';
    case Watch = 'watch';
    case Open = 'open';

    public function rank(): int
    {
        return match ($this) {
            self::Stop => 0,
            self::Watch => 1,
            self::Open => 2,
        };
    }
}
