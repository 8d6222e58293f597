<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Joining\TimingMethod;
use EmberDusk\Values\InvalidInput;

/** The timing method of joining from `--timing`, or from its former name `--school`. */
trait TimesJoins
{
    /** @throws InvalidInput when there is no such method */
    private function timing(): TimingMethod
    {
        $timing = (string) ($this->option('school') ?? $this->option('timing'));
        if (!in_array($timing, TimingMethod::TIMINGS, true)) {
            throw InvalidInput::at(
                '/timing',
                "“{$timing}” is not one of " . implode(', ', TimingMethod::TIMINGS) . '.',
            );
        }

        return new TimingMethod($timing, (bool) $this->option('trust-new'));
    }
}
