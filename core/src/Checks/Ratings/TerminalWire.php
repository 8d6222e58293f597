<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Ratings;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Values\Range;

/** Cross-section of the thickest core at a unit's terminals, mm². */
final readonly class TerminalWire implements Quantity
{
    public function code(): string
    {
        return 'terminal';
    }

    public function subject(): string
    {
        return 'cable';
    }

    public function rule(): string
    {
        return 'the cores at a unit fit into its terminals; without a figure 2.5 mm² at a controller, 6 mm² at a supply';
    }

    public function unit(): string
    {
        return 'mm²';
    }

    public function range(JudgedJob $job, KitUse $part): ?Range
    {
        $sizes = [];
        foreach ($job->plan->cables as $laid) {
            $cable = $job->plan->cable($laid->kit);
            if ($cable !== null && ($laid->from === $part->id || $laid->to === $part->id)) {
                $sizes[] = $cable->conductor->area();
            }
        }

        return $sizes === [] ? null : new Range(min($sizes), max($sizes));
    }

    public function assumes(JudgedJob $job, KitUse $part): bool
    {
        return true;
    }

    public function words(float $number, float $limit, bool $most): string
    {
        return sprintf('a core of %.3g mm² at its terminals, largest %.3g mm²', $number, $limit);
    }

    public function advice(): string
    {
        return 'Never cut strands off to make a core fit. End the thick cable in a terminal block and go on with a short thinner one that its fuse protects.';
    }
}
