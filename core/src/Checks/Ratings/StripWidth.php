<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Ratings;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Values\Range;

/** Width of the strip that is in a profile, mm. */
final readonly class StripWidth implements Quantity
{
    public function code(): string
    {
        return 'strip-width';
    }

    public function subject(): string
    {
        return 'run';
    }

    public function rule(): string
    {
        return 'a strip is no wider than the groove of its profile';
    }

    public function unit(): string
    {
        return 'mm';
    }

    public function range(JudgedJob $job, KitUse $part): ?Range
    {
        $width = $job->plan->kit[(string) $job->plan->runs[$part->id]->strip]->written['stripWidth'] ?? null;
        if (!is_int($width) && !is_float($width)) {
            return null;
        }

        return new Range((float) $width, (float) $width);
    }

    public function assumes(JudgedJob $job, KitUse $part): bool
    {
        return true;
    }

    public function words(float $number, float $limit, bool $most): string
    {
        return sprintf('a strip of %g mm, groove %g mm', $number, $limit);
    }

    public function advice(): string
    {
        return 'The strip does not lie flat on the metal. Choose a wider profile or a narrower strip.';
    }
}
