<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Cable;
use EmberDusk\Plan\Frozen;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Workings\Trouble;

/** Another kind or another length for one cable; a length that is given counts as measured. */
final readonly class SetCable implements Change
{
    private function __construct(private string $cable, private ?Frozen $kit, private ?float $length)
    {
    }

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $id = $f->stringOrNull('kit');
        $kit = $id === null ? null : $shelf->find($id) ?? throw $f->trouble('kit', "The shelf has no “{$id}”.");
        if ($kit !== null && ! $kit->entry instanceof Cable) {
            throw $f->trouble('kit', $kit->entry->name().' is no cable.');
        }

        return new self($f->string('cable'), $kit, $f->has('length') ? $f->number('length', 0.01, 1000) : null);
    }

    public function apply(Plan $plan): Plan
    {
        $cable = $this->cable($plan);
        $kit = $this->kit === null ? $plan->kit : [$this->kit->entry->id() => $this->kit] + $plan->kit;
        $laid = new LaidCable($cable->id, $this->kit?->entry->id() ?? $cable->kit, $cable->from, $cable->to,
            $this->length ?? $cable->length, $this->length === null && $cable->reckoned);

        return $plan->with(cables: [$cable->id => $laid] + $plan->cables, kit: $kit);
    }

    public function words(Plan $plan): string
    {
        $name = strtoupper($this->cable($plan)->id);

        return implode(' and ', array_filter([
            $this->kit === null ? '' : "{$name} becomes {$this->kit->entry->name()}",
            $this->length === null ? '' : sprintf('%s is %.2f m long', $name, $this->length),
        ]));
    }

    private function cable(Plan $plan): LaidCable
    {
        return $plan->cables[$this->cable] ?? throw Trouble::at('/cable', "The job has no cable “{$this->cable}”.");
    }
}
