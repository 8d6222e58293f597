<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Updates an entry of the job's kit from the shelf; feeds move to the nearest cut mark of a changed strip. */
final readonly class RefreshKit extends Change
{
    private function __construct(private KitSnapshot $kit) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $id = $f->string('kit');

        return new self(
            $shelf->find($id) ?? throw $f->invalid('kit', "The shelf has no “{$id}” any more; the job keeps its copy."),
        );
    }

    public static function payload(string $kit): ChangePayload
    {
        return ChangePayload::named('RefreshKit', kit: $kit);
    }

    protected function changed(Plan $plan): Plan
    {
        $id = $this->kit->entry->id();
        if (!isset($plan->kit[$id])) {
            throw InvalidInput::at('/kit', "The job does not use {$this->kit->entry->name()}.");
        }
        if ($this->kit->entry instanceof Strip) {
            foreach ($plan->runs as $run) {
                if ($run->strip === $id) {
                    $plan = ChooseKit::for($run->id, $this->kit)->changed($plan);
                }
            }
        }

        return $plan->with(kit: [$id => $this->kit] + $plan->kit);
    }

    public function words(Plan $plan): string
    {
        return $this->kit->entry->name() . ' updated from the shelf';
    }
}
