<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Survey\Site\PixelMatrix;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Survey\WallSheet;
use EmberDusk\Values\IncompletePlan;

/** A run in its plan: values that follow from its strip, its place and its units. */
final readonly class PlannedRun
{
    public function __construct(private Plan $plan, private Run $run) {}

    /** How a run is made up: as usual where nothing else was chosen. */
    public function making(): Assembly
    {
        return $this->plan->makings[$this->run->id] ?? new Assembly($this->run->id);
    }

    /** Whether a run is where water amounts to it: the place is damp, or it is mounted outdoors. */
    public function damp(): bool
    {
        return in_array('outdoors', $this->run->mounting, true) || $this->notes()->site->damp === true;
    }

    /** Whether the strip of a run is splash-proof or better. */
    public function sealed(): bool
    {
        return ($this->plan->kit[(string) $this->run->strip]->written['sealed'] ?? 'none') !== 'none';
    }

    /** Cores of a joint of a run's strip: the plus and a return for each channel, or both poles and the data wires. */
    public function cores(): int
    {
        $strip = $this->plan->strip($this->run->strip);
        if ($strip?->pixels === null) {
            return count($strip->channels ?? []) + 1;
        }

        return 2 + $strip->pixels->dataWires;
    }

    /** Pixels of a run; 0 of other strips. */
    public function pixels(): int
    {
        return ($this->cutMarks()?->groupCount() ?? 0) * ($this->plan->strip($this->run->strip)->pixels->pixels ?? 0);
    }

    /** The matrix that the notes say a run of pixels is; none of a run in parts. */
    public function matrix(): ?PixelMatrix
    {
        return $this->run->parts > 1 ? null : $this->notes()->site->runs[$this->run->word]->matrix ?? null;
    }

    /** Whether the end at which a run takes its data in must not change. */
    public function directed(): bool
    {
        return ($this->notes()->site->runs[$this->run->word] ?? null)?->fixed === true;
    }

    /** The ready-made set that a run is made of. */
    public function set(): ?Item
    {
        foreach ($this->plan->items as $item) {
            if ($item->on === $this->run->id && $this->plan->kit[$item->kit]->kind() === 'set') {
                return $item;
            }
        }

        return null;
    }

    /** Amps of a run by its label, at its brightness limit; 0 without a strip. */
    public function labelAmps(): float
    {
        $strip = $this->plan->strip($this->run->strip);

        return $strip === null ? 0.0 : ($strip->wattsPerMetre() * $this->litLength() * $this->run->cap) / $strip->volts;
    }

    /** Whether a controller is of the kind that it needs: a board for pixels, channels for other strips. */
    public function drivenBy(string $controller): bool
    {
        $pixels = $this->plan->strip($this->run->strip)?->pixels !== null;

        return ($this->plan->controller($controller)?->pixels !== null) === $pixels;
    }

    /** The board that sends data to a run of pixels. */
    public function board(): ?Device
    {
        if ($this->plan->controller($this->run->controller)?->pixels === null) {
            return null;
        }

        return $this->plan->controllers[$this->run->controller ?? ''];
    }

    /** The part before it, which it continues through a repeater; null when its controller is no repeater or it is the first. */
    public function before(): ?Run
    {
        if ($this->plan->controller($this->run->controller)?->repeats !== true) {
            return null;
        }
        foreach ($this->plan->runs as $other) {
            if (
                $other->place === $this->run->place &&
                $other->word === $this->run->word &&
                $other->part === $this->run->part - 1
            ) {
                return $other;
            }
        }

        return null;
    }

    /** The cut marks of a run, once its strip is chosen. */
    public function cutMarks(): ?CutMarks
    {
        $strip = $this->plan->strip($this->run->strip);
        if ($strip === null) {
            return null;
        }

        return CutMarks::from($this->run, $strip);
    }

    /**
     * The cut marks of a run that has feeds, zones or data, and so a strip.
     *
     * @throws IncompletePlan where it has none
     */
    public function marks(): CutMarks
    {
        return $this->cutMarks() ?? throw IncompletePlan::at('/run', "Choose a strip for {$this->run->name()} first.");
    }

    /** Metres of a run that light: whole sections of its strip, 0 before a strip is chosen. */
    public function litLength(): float
    {
        return $this->cutMarks()?->length() ?? 0.0;
    }

    /** Metres between a run's two ends as they are in the room; null when the notes do not show it. */
    public function endsApart(): ?float
    {
        if ($this->run->parts > 1) {
            return null;
        }
        $path = $this->notes()->runs[$this->run->word] ?? null;

        return $path?->endsApart();
    }

    private function notes(): WallSheet
    {
        return WallNotes::read($this->plan->places[$this->run->place]->notes ?? '');
    }
}
