<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Dimmer;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Puts fixtures under a dimming module: one that the job has, or another entry of the shelf. */
final readonly class ChooseModule extends Change
{
    private function __construct(private string $fixture, private ?KitSnapshot $kit, private ?string $module) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        if ($f->has('module')) {
            return new self($f->string('fixture'), null, $f->string('module'));
        }
        $kit = $shelf->find($f->string('kit')) ?? throw $f->invalid('kit', "The shelf has no “{$f->string('kit')}”.");
        if (!($kit->entry instanceof Dimmer)) {
            throw $f->invalid('kit', $kit->entry->name() . ' dims no fixtures.');
        }

        return new self($f->string('fixture'), $kit, null);
    }

    /** A module that exists, or kit for a new one. */
    public static function payload(string $fixture, ?string $module = null, ?string $kit = null): ChangePayload
    {
        return ChangePayload::given('ChooseModule', fixture: $fixture, module: $module, kit: $kit);
    }

    protected function changed(Plan $plan): Plan
    {
        $fitting =
            $plan->fixtures[$this->fixture] ?? throw InvalidInput::unknown('/fixture', 'fixtures', $this->fixture);
        if ($this->kit !== null) {
            // Shared units stay unchanged.
            $mine =
                $fitting->module !== null &&
                array_filter(
                    $plan->fixtures,
                    static fn(Fitting $f): bool => $f->module === $fitting->module && $f->id !== $fitting->id,
                ) === [];
            $id = $mine ? (string) $fitting->module : Plan::nextId('m', $plan->modules);
            $plan = $plan->with(
                modules: [$id => new Device($id, $this->kit->entry->id())] + $plan->modules,
                fixtures: [$fitting->id => self::under($fitting, $id)] + $plan->fixtures,
                kit: [$this->kit->entry->id() => $this->kit] + $plan->kit,
            );
        } else {
            $id = (string) $this->module;
            if (!isset($plan->modules[$id])) {
                throw InvalidInput::unknown('/module', 'module', $id);
            }
            $plan = $plan->with(fixtures: [$fitting->id => self::under($fitting, $id)] + $plan->fixtures);
        }
        $dim = $plan->fixture($fitting->kit)?->dim;
        if ($plan->module($id)?->dims($dim) !== true) {
            throw InvalidInput::at(
                '/kit',
                strtoupper($fitting->id) .
                    ' are dimmed by ' .
                    Dimmer::says((string) $dim) .
                    ', the module by ' .
                    implode(' or ', array_map(Dimmer::says(...), $plan->module($id)?->methods() ?? [])) .
                    '.',
            );
        }

        $line = $plan->ways()->cableTo($fitting->id);

        return $line === null || $line->from !== $fitting->module
            ? $plan
            : $plan->put('cables', $line->id, $line->from($id));
    }

    public function words(Plan $plan): string
    {
        return strtoupper($this->fixture) .
            ' under ' .
            ($this->kit?->entry->name() ?? strtoupper((string) $this->module));
    }

    private static function under(Fitting $f, string $module): Fitting
    {
        return new Fitting(id: $f->id, kit: $f->kit, place: $f->place, count: $f->count, module: $module);
    }
}
