<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Channels;

/**
 * Wiring cases that no single colour can distinguish: one class. The text names the outputs and colours concerned. If several kinds of fault look
 * alike, all are named, the first to check ahead.
 */
final readonly class Explanation
{
    /**
     * @param  list<int>  $shows  what each colour commanded alone shows
     * @param  non-empty-list<LeadConnection|Pixels>  $ways  fewest faults first
     */
    public function __construct(public array $shows, public array $ways) {}

    public function right(): bool
    {
        $way = $this->ways[0];

        if ($way instanceof Pixels) {
            return !$way->wrongKind && $way->order === range(0, count($way->order) - 1);
        }

        return $way->faults() === 0;
    }

    /** How likely it is before anything is seen, to a factor: each thing that is wrong is a tenth as likely as none (common practice, no source). */
    public function weight(): float
    {
        $weight = 0.0;
        foreach ($this->ways as $way) {
            $faults = $way instanceof LeadConnection ? $way->faults() : ((int) !$this->right());
            $weight = max($weight, 0.1 ** $faults);
        }

        return $weight;
    }
}
