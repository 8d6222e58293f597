<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** A part of a pixel run that its board treats as a separate light: pixels from its start, from 1, both included. */
final readonly class Segment implements JsonReadable
{
    use Record;

    /**
     * @param  bool  $reversed  effects begin at its last pixel
     * @param  bool  $mirrored  effects run from both ends to its middle
     */
    public function __construct(
        public string $id,
        public string $run,
        #[Field(longest: 40)] public string $name,
        #[Field(1, 20_000)] public int $first,
        #[Field(1, 20_000)] public int $last,
        #[Field(optional: true)] public bool $reversed = false,
        #[Field(optional: true)] public bool $mirrored = false,
    ) {}

    public function called(string $id): self
    {
        return $this->withChanged(id: $id, name: trim($this->name));
    }

    public function named(string $name): self
    {
        return $this->withChanged(name: $name);
    }

    public function over(int $first, int $last): self
    {
        return $this->withChanged(first: $first, last: $last);
    }

    public function has(int $pixel): bool
    {
        return $pixel >= $this->first && $pixel <= $this->last;
    }

    public function pixels(): int
    {
        return $this->last - $this->first + 1;
    }

    /** With no pixel after so many; null where none is left. */
    public function within(int $pixels): ?self
    {
        return $this->first > $pixels ? null : $this->withChanged(last: min($this->last, $pixels));
    }

    /** "pixels 1 to 60, from its end, mirrored". */
    public function words(): string
    {
        return "pixels {$this->first} to {$this->last}" .
            ($this->reversed ? ', from its end' : '') .
            ($this->mirrored ? ', mirrored' : '');
    }
}
