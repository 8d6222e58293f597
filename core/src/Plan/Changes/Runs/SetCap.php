<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Runs;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;

/** Sizes a run's supply for a share of full load, on condition that a limit is set in its controller; or says that it is set and checked. */
final readonly class SetCap extends Change
{
    private function __construct(private string $run, private float $cap, private bool $checked) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('run'), $f->number('cap', 0.2, 1), $f->has('checked') && $f->flag('checked'));
    }

    public static function payload(string $run, float $cap, ?bool $checked = null): ChangePayload
    {
        return ChangePayload::given('SetCap', run: $run, cap: $cap, checked: $checked);
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);

        return $plan->put('runs', $run->id, $run->capped($this->cap, $this->checked && $this->cap < 1));
    }

    public function words(Plan $plan): string
    {
        $name = $plan->run($this->run)->name();

        return match (true) {
            $this->cap >= 1 => "{$name}: supply for everything at full",
            $this->checked => sprintf(
                '%s: limit of %.0f %% set in the controller and checked',
                $name,
                100 * $this->cap,
            ),
            default => sprintf(
                '%s: supply for %.0f %% of full load, with a limit in the controller',
                $name,
                100 * $this->cap,
            ),
        };
    }
}
