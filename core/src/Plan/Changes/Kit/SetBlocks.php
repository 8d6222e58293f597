<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;

/** How many blocks of a battery are in series and how many rows in parallel. */
final readonly class SetBlocks extends Change
{
    private function __construct(private string $supply, private int $series, private int $parallel) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('supply'), $f->whole('series', 1, 40), $f->whole('parallel', 1, 40));
    }

    protected function changed(Plan $plan): Plan
    {
        $device = $plan->supplies[$this->supply] ?? throw InvalidInput::unknown('/supply', 'supply', $this->supply);
        if ($plan->supply($this->supply)?->battery() !== true) {
            throw InvalidInput::at('/supply', strtoupper($this->supply) . ' is no battery.');
        }

        return $plan->put('supplies', $device->id, $device->blocks($this->series, $this->parallel));
    }

    public function words(Plan $plan): string
    {
        return strtoupper($this->supply) . " is {$this->series} blocks in series, {$this->parallel} in parallel";
    }
}
