<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Kit\Control;
use EmberDusk\Survey\Site\Battery;
use EmberDusk\Survey\WallNotes;

/** Power sources of the devices of a plan: mains, batteries, a vehicle, a cell. */
final readonly class Power
{
    public function __construct(private Plan $plan) {}

    /** Power source of a device in the plan: a supply, its loads, a fixture under a module, other items. */
    public function sourceOf(string $id): Source
    {
        $control = $this->plan->kit[$this->plan->items[$id]->kit ?? '']->entry ?? null;
        if ($control instanceof Control) {
            return $control->onCell() ? Source::Cell : Source::Mains;
        }
        $supply = isset($this->plan->supplies[$id]) ? $id : $this->feeding($id);
        $unit = $this->plan->supplies[$supply ?? ''] ?? null;
        if ($unit === null) {
            return Source::Mains;
        }
        if ($this->plan->block($unit->id) !== null || $this->plan->converter($unit->id) !== null) {
            return $this->surveyed($unit->id)?->keyed === true ? Source::Vehicle : Source::Battery;
        }
        foreach (
            WallNotes::read($this->plan->places[$unit->stands->place ?? '']->notes ?? '')->site->outlets
            as $outlet
        ) {
            if ($outlet->keyed && $outlet->spot->name === $unit->stands?->spot) {
                return Source::Vehicle;
            }
        }

        return Source::Mains;
    }

    /** The battery of the notes that a bank, or the bank of a converter, is: at its spot, else the first with such blocks for a run on it. */
    public function surveyed(string $supply): ?Battery
    {
        $bank = $this->plan->supplies[$supply]->bank ?? $supply;
        $block = $this->plan->block($bank);
        if ($block === null) {
            return null;
        }
        $spot = $this->plan->supplies[$bank]->stands?->spot;
        $found = [];
        foreach ($this->plan->runs as $run) {
            if (in_array($run->supply, [$supply, $bank], true)) {
                $found = [...$found, ...SurveyedBanks::for($this->plan, $run)];
            }
        }
        foreach ($found as [, $battery]) {
            if ($battery->spot->name === $spot) {
                return $battery;
            }
        }
        foreach ($found as [, $battery]) {
            if (abs($battery->blockVolts - $block->volts) < 1e-9) {
                return $battery;
            }
        }

        return null;
    }

    /** Ampere hours of a bank: as noted where it stands, else those of its blocks. */
    public function ampHours(string $bank): ?float
    {
        return $this->surveyed($bank)?->holds() ?? $this->plan->supply($bank)?->ampHours;
    }

    /** @return list<Source> power sources of the supplies, modules and panels, each once; mains of a job without any */
    public function sources(): array
    {
        $sources = [];
        foreach (
            [
                ...array_keys($this->plan->supplies),
                ...array_keys($this->plan->modules),
                ...array_keys($this->plan->items),
            ]
            as $id
        ) {
            $source = $this->sourceOf((string) $id);
            $stands =
                isset($this->plan->items[$id]) &&
                $this->plan->kit[$this->plan->items[$id]->kit]->beside()?->power !== 'choice';
            if ($source !== Source::Cell && !$stands) {
                $sources[$source->value] = $source;
            }
        }

        return $sources === [] ? [Source::Mains] : array_values($sources);
    }

    /** Whether any part of the job is fed by mains. */
    public function onMains(): bool
    {
        return in_array(Source::Mains, $this->sources(), true);
    }

    /** Whether a run has no mains to be fed by: batteries and no outlet, in its place or in all places of the job. */
    public function withoutMains(Run $run): bool
    {
        $batteries = $outlets = 0;
        foreach ($this->plan->places as $place) {
            $site = WallNotes::read($place->notes)->site;
            if ($place->id === $run->place && $site->outlets !== []) {
                return false;
            }
            if ($place->id === $run->place && $site->batteries !== []) {
                return true;
            }
            $batteries += count($site->batteries);
            $outlets += count($site->outlets);
        }

        return $batteries > 0 && $outlets === 0;
    }

    /** Whether a run is fed by batteries and converters only: no mains nearby. */
    public function onBattery(Run $run): bool
    {
        $supplies = array_filter(
            $this->plan->ways()->unitsOf($run),
            fn(string $u): bool => isset($this->plan->supplies[$u]) &&
                $this->plan->block($u) === null &&
                $this->plan->converter($u) === null,
        );

        return $run->supply !== null && $supplies === [];
    }

    /** The supply of a controller, a run, a board, modules or a fixture; null where there is none. */
    private function feeding(string $id): ?string
    {
        $behind = $this->plan->ways()->supplyBehind($this->plan->ways()->cableTo($id)->from ?? '');
        if ($behind !== null) {
            return $behind;
        }
        $on = $this->plan->items[$id]->on ?? $id;
        if (isset($this->plan->supplies[$on])) {
            return $on;
        }
        foreach ($this->plan->runs as $run) {
            if ($run->id === $on || $run->controller === $on) {
                return $run->supply;
            }
        }

        return null;
    }
}
