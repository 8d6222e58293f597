<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Dimmer;
use EmberDusk\Kit\Fixture;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;

/** So many fixtures of one kind at a place: new ones, another kind or number of them, or none. */
final readonly class SetFixture extends Change
{
    private function __construct(
        private ?string $fixture,
        private KitSnapshot $kit,
        private string $place,
        private int $count,
    ) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $kit = $shelf->find($f->string('kit')) ?? throw $f->invalid('kit', "The shelf has no “{$f->string('kit')}”.");
        if (!($kit->entry instanceof Fixture)) {
            throw $f->invalid('kit', $kit->entry->name() . ' is no fixture.');
        }

        return new self($f->stringOrNull('fixture'), $kit, $f->string('place'), $f->whole('count', 0, 200));
    }

    protected function changed(Plan $plan): Plan
    {
        $id = $this->fixture ?? Plan::nextId('x', $plan->fixtures);
        if ($this->fixture !== null && !isset($plan->fixtures[$id])) {
            throw InvalidInput::unknown('/fixture', 'fixtures', $id);
        }
        if ($this->count === 0) {
            return $plan->put('fixtures', $id, null);
        }
        $plan->place($this->place);
        $kit = $this->kit->entry->id();
        $module = $plan->fixtures[$id]->module ?? null;
        $same =
            $module === null ||
            ($this->kit->entry instanceof Fixture && $plan->module($module)?->dims($this->kit->entry->dim) === true);

        $plan = $plan->with(
            fixtures: [
                $id => new Fitting(
                    id: $id,
                    kit: $kit,
                    place: $this->place,
                    count: $this->count,
                    module: $same ? $module : null,
                ),
            ] + $plan->fixtures,
            kit: [$kit => $this->kit] + $plan->kit,
        );
        if ($plan->fixture($kit)?->lowVoltage() === true) {
            return $plan;
        }

        // Fixtures on mains have no cable but the control line of their module.
        $line = in_array($plan->fixture($kit)?->dim, Dimmer::BY_LINE, true) ? $plan->fixtures[$id]->module : null;

        return $plan->with(
            cables: array_filter($plan->cables, static fn(LaidCable $c): bool => $c->to !== $id || $c->from === $line),
        );
    }

    public function words(Plan $plan): string
    {
        if ($this->count === 0) {
            return strtoupper($this->fixture ?? '') . ' taken out';
        }

        return "{$this->count} x {$this->kit->entry->name()} at " . ($plan->places[$this->place]->name ?? $this->place);
    }
}
