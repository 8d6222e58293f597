<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Dimmer;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Hangs fixtures by a cable of their own: low-voltage ones on a supply, others on the control line of their module. Metres. */
final readonly class HangFixture extends Change
{
    private function __construct(
        private string $fixture,
        private string $on,
        private KitSnapshot $kit,
        private float $length,
    ) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $kit = $shelf->find($f->string('kit')) ?? throw $f->invalid('kit', "The shelf has no “{$f->string('kit')}”.");
        if (!($kit->entry instanceof Cable)) {
            throw $f->invalid('kit', $kit->entry->name() . ' is no cable.');
        }

        return new self($f->string('fixture'), $f->string('on'), $kit, $f->numberOr('length', 1.0, 0.01, 1000));
    }

    public static function payload(string $fixture, string $on, string $kit): ChangePayload
    {
        return ChangePayload::named('HangFixture', fixture: $fixture, on: $on, kit: $kit);
    }

    protected function changed(Plan $plan): Plan
    {
        $fitting =
            $plan->fixtures[$this->fixture] ?? throw InvalidInput::unknown('/fixture', 'fixtures', $this->fixture);
        $fixture = $plan->fixture($fitting->kit);
        $line = $this->on === $fitting->module && in_array($fixture?->dim, Dimmer::BY_LINE, true);
        if ($fixture?->lowVoltage() !== true && !$line) {
            throw InvalidInput::at(
                '/fixture',
                strtoupper($this->fixture) . ' is for mains and a dimming module, not for a low-voltage supply.',
            );
        }
        if (!$line && !isset($plan->supplies[$this->on]) && !isset($plan->splices[$this->on])) {
            throw InvalidInput::unknown('/on', 'supply', $this->on);
        }
        $id = $plan->ways()->cableTo($this->fixture)->id ?? Plan::nextId('k', $plan->cables);

        return $plan->with(
            cables: [
                $id => new LaidCable(
                    id: $id,
                    kit: $this->kit->entry->id(),
                    from: $this->on,
                    to: $this->fixture,
                    length: $this->length,
                    reckoned: true,
                ),
            ] + $plan->cables,
            kit: [$this->kit->entry->id() => $this->kit] + $plan->kit,
        );
    }

    public function words(Plan $plan): string
    {
        return strtoupper($this->fixture) . ' connected to ' . strtoupper($this->on);
    }
}
