<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Kinds;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Sets the number of a set, remote, panel, plug or the like in a place, and its owner; 0 removes it. */
final readonly class SetItem extends Change
{
    private function __construct(
        private ?string $item,
        private ?KitSnapshot $kit,
        private string $place,
        private int $count,
        private ?string $on,
    ) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $kit = $shelf->find($f->string('kit'));
        // An item is removed also when its entry is no longer on the shelf.
        if ($kit === null && ($f->whole('count', 0, 200) > 0 || $f->stringOrNull('item') === null)) {
            throw $f->invalid('kit', "The shelf has no “{$f->string('kit')}”.");
        }
        if ($kit !== null && $kit->beside() === null) {
            throw $f->invalid('kit', $kit->entry->name() . ' is chosen for a run, not as another item.');
        }

        return new self(
            $f->stringOrNull('item'),
            $kit,
            $f->string('place'),
            $f->whole('count', 0, 200),
            ($f->stringOrNull('on') ?? '') === '' ? null : $f->string('on', 40),
        );
    }

    public static function payload(
        string $kit,
        string $place,
        int $count,
        ?string $on = null,
        ?string $item = null,
    ): ChangePayload {
        return ChangePayload::given('SetItem', item: $item, kit: $kit, place: $place, count: $count, on: $on);
    }

    protected function changed(Plan $plan): Plan
    {
        $id = $this->item ?? Plan::nextId('i', $plan->items);
        if ($this->item !== null && !isset($plan->items[$id])) {
            throw InvalidInput::unknown('/item', 'item', $id);
        }
        if ($this->count === 0 || $this->kit === null) {
            return $plan->put('items', $id, null);
        }
        $kit = $this->kit->entry->id();
        $before = $plan->items[$id] ?? null;
        $stands = $before?->place === $this->place ? $before->stands : null;
        $item = new Item(
            id: $id,
            kit: $kit,
            place: $plan->place($this->place)->id,
            count: $this->count,
            on: $this->on,
            stands: $stands,
            used: $before->used ?? false,
        );
        $allowed = self::allowed($plan, $this->kit->kind());
        if ($this->on !== null && !isset($allowed[$this->on])) {
            throw InvalidInput::at(
                '/on',
                "{$this->kit->entry->name()} does not go with “{$this->on}”: " .
                    ($allowed === []
                        ? 'it belongs to no other part.'
                        : 'one of ' . implode(', ', array_keys($allowed)) . '.'),
            );
        }

        return $plan->with(items: [$id => $item] + $plan->items, kit: [$kit => $this->kit] + $plan->kit);
    }

    /** @return array<string, mixed> what an item may belong to, by id */
    public static function allowed(Plan $plan, string $kind): array
    {
        return match (Kinds::get($kind)?->beside?->on) {
            'runs' => $plan->runs,
            'supplies' => $plan->supplies,
            'cables' => $plan->cables,
            default => [],
        };
    }

    public function words(Plan $plan): string
    {
        if ($this->count === 0 || $this->kit === null) {
            $kit = $this->kit ?? ($plan->kit[$plan->items[$this->item ?? '']->kit ?? ''] ?? null);

            return ($kit?->entry->name() ?? 'Item') . ' removed from the job';
        }

        return "{$this->count} x {$this->kit->entry->name()} at " . ($plan->places[$this->place]->name ?? $this->place);
    }
}
