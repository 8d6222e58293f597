<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Owned;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;

/** How many of a shelf entry the client has already; none takes it off the list. */
final readonly class SetOwned extends Change
{
    private function __construct(private KitSnapshot $kit, private int $count) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $id = $f->string('kit');

        return new self(
            $shelf->find($id) ?? throw $f->invalid('kit', "The shelf has no “{$id}”."),
            $f->whole('count', 0, 1000),
        );
    }

    public static function payload(string $kit, int $count): ChangePayload
    {
        return ChangePayload::named('SetOwned', kit: $kit, count: $count);
    }

    protected function changed(Plan $plan): Plan
    {
        $id = $this->kit->entry->id();

        return $plan->put('owned', $id, $this->count === 0 ? null : new Owned($id, $this->count), $this->kit);
    }

    public function words(Plan $plan): string
    {
        if ($this->count === 0) {
            return "The client has no {$this->kit->entry->name()}";
        }

        return "The client has {$this->count} of {$this->kit->entry->name()}";
    }
}
