<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Survey\TapeNotes;

/** Which cables lead where, and what a run is made of. */
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

    /** The supply or controller that a cable's begin hangs on, through however many splices; null when it hangs on nothing, or in a circle. */
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

    /**
     * The cables on the way to a feed, a controller or a splice, from its own back to the device that they hang on.
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
     * The supplies that a run hangs on: those at which the cables to its feeds begin, through a controller or straight.
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

    /** Whether a run lies where water comes to it: the place is damp, or it is mounted outdoors. */
    public function damp(Run $run): bool
    {
        return in_array('outdoors', $run->mounting, true) ||
            TapeNotes::read($this->places[$run->place]->notes ?? '')->site->damp === true;
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

    /**
     * The cables that a run hangs on: those to its feeds and the one to its controller.
     *
     * @return array<string, LaidCable> by id
     */
    public function waysOf(Run $run): array
    {
        $ways = $run->controller === null ? [] : $this->wayTo($run->controller);
        foreach ($this->feedsOf($run) as $feed) {
            $ways += $this->wayTo($feed->id);
        }

        return $ways;
    }

    /** Ohm of one core of so many metres of a cable's kind, at the job's cable temperature. */
    public function copper(LaidCable $cable, float $metres): float
    {
        return $this->cable($cable->kit)?->conductor->ohms($metres, $this->limits->cableCelsius) ?? 0.0;
    }
}
