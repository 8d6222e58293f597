<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Powers;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Plan;

/** One more supply for the job, of a shelf entry; runs and feeds are connected to it afterwards. */
final readonly class AddSupply extends Change
{
    private function __construct(private KitSnapshot $kit) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $kit = $shelf->find($f->string('kit')) ?? throw $f->invalid('kit', "The shelf has no “{$f->string('kit')}”.");
        if (!($kit->entry instanceof Powers)) {
            throw $f->invalid('kit', $kit->entry->name() . ' is no supply.');
        }

        return new self($kit);
    }

    protected function changed(Plan $plan): Plan
    {
        $id = Plan::nextId('s', $plan->supplies);

        return $plan->put('supplies', $id, new Device($id, $this->kit->entry->id()), $this->kit);
    }

    public function words(Plan $plan): string
    {
        return $this->kit->entry->name() . ' added as ' . strtoupper(Plan::nextId('s', $plan->supplies));
    }
}
