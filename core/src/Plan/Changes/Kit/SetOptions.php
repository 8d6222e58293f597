<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Requirement;
use EmberDusk\Values\ChangePayload;

/** The options that are held side by side for a run. */
final readonly class SetOptions extends Change
{
    /** @param  list<Fields>  $requirements */
    private function __construct(private string $run, private array $requirements) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $requirements = $f->objects('options');

        return new self(
            $f->string('run'),
            count($requirements) > 8
                ? throw $f->invalid('options', 'At most eight options can be compared.')
                : $requirements,
        );
    }

    /** @param  list<Requirement>  $options */
    public static function payload(string $run, array $options): ChangePayload
    {
        return ChangePayload::named(
            'SetOptions',
            run: $run,
            options: array_map(
                static fn(Requirement $r): array => array_diff_key($r->write(), ['id' => true, 'run' => true]),
                $options,
            ),
        );
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        $options = array_filter($plan->options, static fn(Requirement $w): bool => $w->run !== $run->id);
        foreach ($this->requirements as $requirement) {
            $id = Plan::nextId('o', $options);
            $options[$id] = Requirement::read(
                new Fields(['id' => $id, 'run' => $run->id] + $requirement->all(), $requirement->pointer),
            );
        }

        return $plan->with(options: $options);
    }

    public function words(Plan $plan): string
    {
        return 'Options of ' . $plan->run($this->run)->name() . ' changed';
    }
}
