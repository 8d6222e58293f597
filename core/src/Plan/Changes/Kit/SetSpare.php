<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Spare;
use EmberDusk\Values\ChangePayload;

/** How many of a part are taken along on top; null is as usual. */
final readonly class SetSpare extends Change
{
    private function __construct(private KitSnapshot $kit, private ?int $count) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $id = $f->string('kit');

        return new self(
            $shelf->find($id) ?? throw $f->invalid('kit', "The shelf has no “{$id}”."),
            $f->wholeOrNull('count', 0, 10_000),
        );
    }

    public static function payload(string $kit, ?int $count): ChangePayload
    {
        return ChangePayload::given('SetSpare', kit: $kit, count: $count);
    }

    protected function changed(Plan $plan): Plan
    {
        $id = $this->kit->entry->id();

        return $plan->put('spares', $id, $this->count === null ? null : new Spare($id, $this->count), $this->kit);
    }

    public function words(Plan $plan): string
    {
        return $this->kit->entry->name() . ($this->count === null ? ': default spares' : ": {$this->count} to spare");
    }
}
