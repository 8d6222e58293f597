<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Kit\Connector;
use EmberDusk\Kit\Control;
use EmberDusk\Survey\TapeNotes;

/** Cables and their ends, and the units of a run. */
trait WaysOfPlan
{
    /** The cable that ends at a device or feed. */
    public function cableTo(string $id): ?LaidCable
    {
        foreach ($this->cables as $cable) {
            if ($cable->to === $id) {
                return $cable;
            }
        }

        return null;
    }

    /** The supply or controller at the start of a cable, through any number of splices; null when it is not connected, or in a circle. */
    public function root(string $from): ?string
    {
        for ($n = 0; isset($this->splices[$from]); $n++) {
            $from = $this->cableTo($from)->from ?? '';
            if ($n > count($this->splices)) {
                return null;
            }
        }
        if (isset($this->supplies[$from]) || isset($this->controllers[$from])) {
            return $from;
        }

        return null;
    }

    /** The supply at a cable's start: through splices and a controller; null when there is none. */
    public function supplyBehind(string $from): ?string
    {
        $root = $this->root($from) ?? '';
        if (isset($this->controllers[$root])) {
            $root = $this->root($this->cableTo($root)->from ?? '') ?? '';
        }

        return isset($this->supplies[$root]) ? $root : null;
    }

    /**
     * The cables on the way to a feed, a controller or a splice, from its own back to the device that feeds them.
     *
     * @return array<string, LaidCable> by id
     */
    public function wayTo(string $id): array
    {
        $way = [];
        $open = [$id];
        while ($open !== []) {
            $to = array_pop($open);
            foreach ($this->cables as $cable) {
                if ($cable->to === $to && !isset($way[$cable->id])) {
                    $way[$cable->id] = $cable;
                    if (isset($this->splices[$cable->from])) {
                        $open[] = $cable->from;
                    }
                }
            }
        }

        return $way;
    }

    /** @return list<string> ids of the places of everything that a cable leads to */
    public function placesOf(LaidCable $cable): array
    {
        $places = [];
        $open = [$cable->to];
        $seen = [];
        while ($open !== []) {
            $to = array_pop($open);
            if (isset($seen[$to])) {
                continue;
            }
            $seen[$to] = true;
            $run = isset($this->feeds[$to]) ? $this->feeds[$to]->run : null;
            $places[] = $this->runs[$run ?? '']->place ?? ($this->fixtures[$to]->place ?? '');
            foreach ($this->runs as $of) {
                $places[] = $of->controller === $to ? $of->place : '';
            }
            if (isset($this->splices[$to])) {
                foreach ($this->cables as $next) {
                    if ($next->from === $to) {
                        $open[] = $next->to;
                    }
                }
            }
        }

        return array_values(array_unique(array_filter($places, static fn(string $p): bool => $p !== '')));
    }

    /**
     * The supplies of a run: those at which the cables to its feeds begin, through a controller or straight.
     *
     * @return list<string> ids
     */
    public function suppliesOf(Run $run): array
    {
        $supplies = [];
        foreach ($this->feedsOf($run) as $feed) {
            $root = $this->root($this->cableTo($feed->id)->from ?? '');
            if ($root !== null && isset($this->controllers[$root])) {
                $root = $this->root($this->cableTo($root)->from ?? '') ?? $run->supply;
            }
            $supplies[] = $root ?? $run->supply;
        }

        return array_values(
            array_unique(
                array_filter(
                    $supplies === [] ? [$run->supply] : $supplies,
                    fn(?string $s): bool => $s !== null && isset($this->supplies[$s]),
                ),
            ),
        );
    }

    /** How a run is made up: as usual where nothing else was chosen. */
    public function making(Run $run): Assembly
    {
        return $this->makings[$run->id] ?? new Assembly($run->id);
    }

    /** Whether a run is where water amounts to it: the place is damp, or it is mounted outdoors. */
    public function damp(Run $run): bool
    {
        return in_array('outdoors', $run->mounting, true) ||
            TapeNotes::read($this->places[$run->place]->notes ?? '')->site->damp === true;
    }

    /** Whether the strip of a run is splash-proof or better. */
    public function sealed(Run $run): bool
    {
        return ($this->kit[(string) $run->strip]->written['sealed'] ?? 'none') !== 'none';
    }

    /** Cores of a joint of a run's strip: the plus and a return for each channel, or both poles and the data wires. */
    public function cores(Run $run): int
    {
        $strip = $this->strip($run->strip);
        if ($strip?->pixels === null) {
            return count($strip->channels ?? []) + 1;
        }

        return 2 + $strip->pixels->dataWires;
    }

    /** The ready-made set that a run is made of. */
    public function setOn(Run $run): ?Item
    {
        return $this->itemOn($run, 'set');
    }

    /** The board that sends data to a run of pixels. */
    public function boardOn(Run $run): ?Item
    {
        return $this->itemOn($run, 'board');
    }

    private function itemOn(Run $run, string $kind): ?Item
    {
        foreach ($this->items as $item) {
            if ($item->on === $run->id && $this->kit[$item->kit]->kind() === $kind) {
                return $item;
            }
        }

        return null;
    }

    /** Power source of a device in the plan: a supply, its loads, a fixture under a module, other items. */
    public function sourceOf(string $id): Source
    {
        $control = $this->kit[$this->items[$id]->kit ?? '']->entry ?? null;
        if ($control instanceof Control) {
            $cell = $control->kind === 'remote' || ($control->kind === 'panel' && !$control->mains);

            return $cell ? Source::Cell : Source::Mains;
        }
        $supply = isset($this->supplies[$id]) ? $id : $this->feeding($id);
        $unit = $this->supplies[$supply ?? ''] ?? null;
        if ($unit === null) {
            return Source::Mains;
        }
        if ($this->block($unit->id) !== null || $this->converter($unit->id) !== null) {
            return Source::Battery;
        }
        foreach (TapeNotes::read($this->places[$unit->stands->place ?? '']->notes ?? '')->site->outlets as $outlet) {
            if ($outlet->keyed && $outlet->spot->name === $unit->stands?->spot) {
                return Source::Vehicle;
            }
        }

        return Source::Mains;
    }

    /** @return list<Source> power sources of the supplies, modules and panels, each once; mains of a job without any */
    public function sources(): array
    {
        $sources = [];
        foreach ([...array_keys($this->supplies), ...array_keys($this->modules), ...array_keys($this->items)] as $id) {
            $source = $this->sourceOf((string) $id);
            $stands = isset($this->items[$id]) && $this->kit[$this->items[$id]->kit]->kind() !== 'panel';
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

    /** The supply of a controller, a run, a board, modules or a fixture; null where there is none. */
    private function feeding(string $id): ?string
    {
        $behind = $this->supplyBehind($this->cableTo($id)->from ?? '');
        if ($behind !== null) {
            return $behind;
        }
        $on = $this->items[$id]->on ?? $id;
        if (isset($this->supplies[$on])) {
            return $on;
        }
        foreach ($this->runs as $run) {
            if ($run->id === $on || $run->controller === $on) {
                return $run->supply;
            }
        }

        return null;
    }

    /** Whether a run is fed by batteries and converters only: no mains nearby. */
    public function onBattery(Run $run): bool
    {
        $supplies = array_filter(
            $this->unitsOf($run),
            fn(string $u): bool => isset($this->supplies[$u]) &&
                $this->block($u) === null &&
                $this->converter($u) === null,
        );

        return $run->supply !== null && $supplies === [];
    }

    /**
     * Units of a run: its supplies, the banks of converters among them, its controller.
     *
     * @return list<string> ids
     */
    public function unitsOf(Run $run): array
    {
        $units = [];
        foreach ([$run->supply, ...$this->suppliesOf($run)] as $id) {
            $units[] = $id;
            $units[] = $this->supplies[$id ?? '']->bank ?? null;
        }

        return array_values(
            array_unique(array_filter([...$units, $run->controller], static fn(?string $u): bool => $u !== null)),
        );
    }

    /**
     * The cables of a run: those to its feeds, to its controller and from a bank to its converter.
     *
     * @return array<string, LaidCable> by id
     */
    public function waysOf(Run $run): array
    {
        $ways = $run->controller !== null ? $this->wayTo($run->controller) : [];
        foreach ($this->feedsOf($run) as $feed) {
            $ways += $this->wayTo($feed->id);
        }
        foreach ($this->suppliesOf($run) as $supply) {
            $ways += $this->wayTo($supply);
        }

        return $ways;
    }

    /** The cable at the beginning of a run's way: from a bank to its converter, to its controller, or to its first feed. */
    public function firstCable(Run $run): ?LaidCable
    {
        foreach ([$run->supply, $run->controller] as $unit) {
            $cable = $unit !== null ? $this->cableTo($unit) : null;
            if ($cable !== null) {
                return $cable;
            }
        }
        foreach ($this->feedsOf($run) as $feed) {
            foreach (array_reverse($this->wayTo($feed->id)) as $cable) {
                return $cable;
            }
        }

        return null;
    }

    /** Ohm of one core of a cable, with the joints at both its ends. */
    public function core(LaidCable $cable): float
    {
        return 2 * ($this->connector($cable->joint)->ohms ?? Connector::SOLDERED) +
            $this->copper($cable, $cable->length);
    }

    /** Ohm of one core of so many metres of a cable's kind, at the job's cable temperature. */
    public function copper(LaidCable $cable, float $metres): float
    {
        return $this->cable($cable->kit)?->conductor->ohms($metres, $this->limits->cableCelsius) ?? 0.0;
    }

    /** Label of a light for people: its name, its run, or its id. */
    public function lightName(string $id): string
    {
        if (isset($this->lights[$id])) {
            return $this->lights[$id]->name;
        }
        $board = $this->items[$id]->on ?? $id;
        foreach ($this->runs as $run) {
            if ($run->id === $board || $run->controller === $id) {
                return $run->name();
            }
        }

        return strtoupper($id);
    }
}
