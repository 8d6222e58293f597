<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes;

use EmberDusk\Formats\Fields;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Wish;

/** The options that are held side by side for a run. */
final readonly class SetOptions implements Change
{
    /** @param  list<Fields>  $wishes */
    private function __construct(private string $run, private array $wishes) {}

    public static function read(Fields $f): self
    {
        $wishes = $f->objects('options');

        return new self(
            $f->string('run'),
            count($wishes) > 8 ? throw $f->trouble('options', 'At most eight options stand side by side.') : $wishes,
        );
    }

    public function apply(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        $options = array_filter($plan->options, static fn(Wish $w): bool => $w->run !== $run->id);
        foreach ($this->wishes as $wish) {
            $id = Plan::nextId('o', $options);
            $options[$id] = Wish::read(new Fields(['id' => $id, 'run' => $run->id] + $wish->all(), $wish->pointer));
        }

        return $plan->with(options: $options);
    }

    public function words(Plan $plan): string
    {
        return 'Options of ' . $plan->run($this->run)->name() . ' changed';
    }
}
