<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Says of a controller, a hub or another piece of kit whether it was in use before: then it may belong to another network. */
final readonly class MarkUsed extends Change
{
    private function __construct(private string $unit, private bool $used) {}

    public static function read(Fields $f): self
    {
        return new self($f->string('unit', 40), $f->flag('used'));
    }

    public static function payload(string $unit, bool $used): ChangePayload
    {
        return ChangePayload::given('MarkUsed', unit: $unit, used: $used);
    }

    protected function changed(Plan $plan): Plan
    {
        $id = $this->unit;
        if (isset($plan->controllers[$id])) {
            return $plan->with(controllers: [$id => $plan->controllers[$id]->used($this->used)] + $plan->controllers);
        }
        if (isset($plan->modules[$id])) {
            return $plan->with(modules: [$id => $plan->modules[$id]->used($this->used)] + $plan->modules);
        }
        if (isset($plan->hubs[$id])) {
            return $plan->with(hubs: [$id => $plan->hubs[$id]->used($this->used)] + $plan->hubs);
        }
        if (isset($plan->items[$id])) {
            return $plan->with(items: [$id => $plan->items[$id]->used($this->used)] + $plan->items);
        }

        throw InvalidInput::at('/unit', "The job has no “{$id}” any more. Reload the page.");
    }

    public function words(Plan $plan): string
    {
        return strtoupper($this->unit) . ($this->used ? ' was in use before' : ' is new');
    }
}
