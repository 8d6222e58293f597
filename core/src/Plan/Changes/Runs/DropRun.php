<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Runs;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Requirement;
use EmberDusk\Values\ChangePayload;

/** Takes a run out with its feeds, cables, supply, controller and name. */
final readonly class DropRun extends Change
{
    private function __construct(private string $run) {}

    public static function for(string $run): self
    {
        return new self($run);
    }

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('run'));
    }

    public static function payload(string $run): ChangePayload
    {
        return ChangePayload::named('DropRun', run: $run);
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);

        return $plan->with(
            runs: array_diff_key($plan->runs, [$run->id => true]),
            feeds: array_filter($plan->feeds, static fn(Feed $f): bool => $f->run !== $run->id),
            options: array_filter($plan->options, static fn(Requirement $w): bool => $w->run !== $run->id),
        );
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->name() . ' dropped';
    }
}
