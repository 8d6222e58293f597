<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Survey\Site\PixelMatrix;
use EmberDusk\Survey\TapeNotes;

/** What a plan says of its runs. */
trait RunsOfPlan
{
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

    /** Pixels of a run; 0 of other strips. */
    public function pixels(Run $run): int
    {
        return ($this->cutMarks($run)?->groupCount() ?? 0) * ($this->strip($run->strip)->pixels->pixels ?? 0);
    }

    /** The matrix that the notes say a run of pixels is; none of a run in parts. */
    public function matrix(Run $run): ?PixelMatrix
    {
        return $run->parts > 1
            ? null
            : TapeNotes::read($this->places[$run->place]->notes ?? '')->site->runs[$run->word]->matrix ?? null;
    }

    /** Whether the end at which a run takes its data in must not change. */
    public function directed(Run $run): bool
    {
        return (TapeNotes::read($this->places[$run->place]->notes ?? '')->site->runs[$run->word] ?? null)?->fixed ===
            true;
    }

    /** The ready-made set that a run is made of. */
    public function setOn(Run $run): ?Item
    {
        foreach ($this->items as $item) {
            if ($item->on === $run->id && $this->kit[$item->kit]->kind() === 'set') {
                return $item;
            }
        }

        return null;
    }

    /** Amps of a run by its label, at its brightness limit; 0 without a strip. */
    public function labelAmps(Run $run): float
    {
        $strip = $this->strip($run->strip);

        return $strip === null ? 0.0 : ($strip->wattsPerMetre() * $this->litLength($run) * $run->cap) / $strip->volts;
    }

    /** Whether a controller is of the kind that a run needs: a board for pixels, channels for other strips. */
    public function drives(string $controller, Run $run): bool
    {
        $pixels = $this->strip($run->strip)?->pixels !== null;

        return ($this->controller($controller)?->pixels !== null) === $pixels;
    }

    /** The board that sends data to a run of pixels. */
    public function boardOn(Run $run): ?Device
    {
        if ($this->controller($run->controller)?->pixels === null) {
            return null;
        }

        return $this->controllers[$run->controller ?? ''];
    }

    /**
     * Label of dimmed fixtures: their place, and their id where another module dims lamps there too.
     *
     * @param  array<string, Fitting>  $dimmed
     */
    private function lamps(Fitting $of, array $dimmed): string
    {
        $others = array_filter(
            $dimmed,
            static fn(Fitting $f): bool => $f->place === $of->place && $f->module !== $of->module,
        );

        return "{$this->places[$of->place]->name} lamps" . ($others === [] ? '' : ' ' . strtoupper($of->id));
    }

    /** Label of a light for people: its name, its run or lamps, or its id. */
    public function lightName(string $id): string
    {
        if (isset($this->lights[$id])) {
            return $this->lights[$id]->name;
        }
        foreach ($this->runs as $run) {
            if ($run->id === $id || $run->controller === $id) {
                return $run->name();
            }
        }
        $dimmed = array_filter($this->fixtures, static fn(Fitting $f): bool => $f->module !== null);
        foreach ($dimmed as $fitting) {
            if ($fitting->module === $id) {
                return $this->lamps($fitting, $dimmed);
            }
        }

        return strtoupper($id);
    }
}
