<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Says of a controller, a hub or another piece of kit whether it was in use before: then it may belong to another network. */
final readonly class MarkUsed extends Change
{
    private function __construct(private string $unit, private bool $used) {}

    public static function read(Fields $f, ShelfSource $shelf): self
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
        foreach (['controllers', 'modules', 'hubs', 'items'] as $list) {
            $unit = $plan->{$list}[$id] ?? null;
            if ($unit instanceof Device || $unit instanceof Item) {
                return $plan->put($list, $id, $unit->used($this->used));
            }
        }

        throw InvalidInput::at('/unit', "The job has no “{$id}” any more. Reload the page.");
    }

    public function words(Plan $plan): string
    {
        return strtoupper($this->unit) . ($this->used ? ' was in use before' : ' is new');
    }
}
