<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Ratings;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Values\Range;

/** Direct volts that a fuse has to break: the highest of its supply, of a bank those on charge. */
final readonly class FuseVolts implements Quantity
{
    public function code(): string
    {
        return 'fuse-volts';
    }

    public function subject(): string
    {
        return 'cable';
    }

    public function rule(): string
    {
        return 'a fuse is rated for the volts d.c. that it breaks, on charge too; common blade fuses for 32 V';
    }

    public function unit(): string
    {
        return 'V';
    }

    public function range(JudgedJob $job, KitUse $part): ?Range
    {
        $supply = $job->plan->supply($job->plan->ways()->supplyBehind($job->plan->cables[$part->id]->from));
        if ($supply === null) {
            return null;
        }

        return new Range($supply->lowest ?? $supply->emf, $supply->charging ?? $supply->emf);
    }

    public function assumes(JudgedJob $job, KitUse $part): bool
    {
        return true;
    }

    public function words(float $number, float $limit, bool $most): string
    {
        return sprintf('%.1f V d.c., rated %g V', $number, $limit);
    }

    public function advice(): string
    {
        return 'Above its rating the arc goes on after the fuse has blown, and the fuse burns. Choose a fuse rated for these volts at direct current.';
    }
}
