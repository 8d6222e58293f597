<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Runs;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Sets the parts of a run that a proposal may not change: feed points, cable sizes, supply and controller. */
final readonly class PinRun extends Change
{
    /** @param  list<string>  $pins */
    private function __construct(private string $run, private array $pins) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        foreach ($f->strings('pins') as $n => $pin) {
            if (!in_array($pin, Run::PINS, true)) {
                throw $f->invalid("pins/{$n}", "“{$pin}” is not one of " . implode(', ', Run::PINS) . '.');
            }
        }

        return new self($f->string('run'), array_values(array_unique($f->strings('pins'))));
    }

    protected function changed(Plan $plan): Plan
    {
        return $plan->put('runs', $this->run, $plan->run($this->run)->pinned($this->pins));
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->name() .
            ': ' .
            ($this->pins === [] ? 'nothing pinned' : implode(' and ', $this->pins) . ' pinned');
    }
}
