<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes;

use EmberDusk\Formats\Fields;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Wish;

/** Takes a run out with its feeds, cables, supply, controller and name. */
final readonly class DropRun implements Change
{
    private function __construct(private string $run)
    {
    }

    public static function of(string $run): self
    {
        return new self($run);
    }

    public static function read(Fields $f): self
    {
        return new self($f->string('run'));
    }

    public function apply(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        $feeds = array_filter($plan->feeds, static fn (Feed $f): bool => $f->run !== $run->id);
        $gone = array_diff_key($plan->feeds, $feeds) + [($run->controller ?? '') => true];
        $id = $run->controller ?? '';

        return $plan->with(
            runs: array_diff_key($plan->runs, [$run->id => true]),
            supplies: array_diff_key($plan->supplies, [($run->supply ?? '') => true]),
            controllers: array_diff_key($plan->controllers, [$id => true]),
            feeds: $feeds,
            cables: array_filter($plan->cables, static fn (LaidCable $c): bool => ! isset($gone[$c->to])),
            lights: array_diff_key($plan->lights, [$id => true]),
            options: array_filter($plan->options, static fn (Wish $w): bool => $w->run !== $run->id),
        );
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->name().' dropped';
    }
}
