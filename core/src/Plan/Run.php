<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Survey\Site\RunNote;
use EmberDusk\Values\Copies;

/** A run of strip: its sections as measured, the leads between them, and the kit that feeds it. */
final readonly class Run
{
    use Copies;

    /** What can be kept from proposals. */
    public const PINS = ['feeds', 'cables', 'kit'];

    /**
     * @param  string  $word  its word in the place's tape notes
     * @param  non-empty-list<float>  $sections  metres each
     * @param  list<float>  $jumps  metres of lead between sections
     * @param  list<string>  $mounting  of RunNote::MOUNTINGS
     * @param  string  $light  room, mood, or empty
     * @param  float|null  $height  metres above the floor
     * @param  int  $part  which of the equal parts that the measured run is cut into, each with a controller of its own
     * @param  float  $cap  share of full load that the supply is sized for
     * @param  list<int>  $zones  pads where the + rail is cut and the returns are not, so that two supplies never meet
     * @param  list<string>  $pins  what a proposal leaves as it is: feeds, cables, kit
     * @param  bool  $capChecked  whether the limit that the cap needs was set in the controller and checked
     */
    public function __construct(
        public string $id,
        public string $place,
        public string $word,
        public array $sections,
        public array $jumps,
        public ?string $strip = null,
        public ?string $supply = null,
        public ?string $controller = null,
        public array $mounting = [],
        public string $light = '',
        public ?float $height = null,
        public int $part = 1,
        public int $parts = 1,
        public float $cap = 1.0,
        public bool $capChecked = false,
        public array $zones = [],
        public array $pins = [],
    ) {}

    public function name(): string
    {
        return mb_strtoupper(mb_substr($this->word, 0, 1)) .
            mb_substr($this->word, 1) .
            ($this->parts > 1 ? " {$this->part} of {$this->parts}" : '');
    }

    public function length(): float
    {
        return array_sum($this->sections);
    }

    /**
     * @param  non-empty-list<float>  $sections
     * @param  list<float>  $jumps
     */
    public function measured(array $sections, array $jumps): self
    {
        return $this->withChanged(sections: $sections, jumps: $jumps);
    }

    /** As the notes describe it; as nobody has described it without a note. */
    public function described(?RunNote $note): self
    {
        return $this->withChanged(mounting: $note->mounting ?? [], light: $note->light ?? '', height: $note?->height);
    }

    public function equipped(?string $strip = null, ?string $supply = null, ?string $controller = null): self
    {
        return $this->holding($strip ?? $this->strip, $supply ?? $this->supply, $controller ?? $this->controller);
    }

    /** Without a controller. */
    public function uncontrolled(): self
    {
        return $this->holding($this->strip, $this->supply, null);
    }

    /** Without its strip: it has become too short for one. */
    public function bare(): self
    {
        return $this->holding(null, $this->supply, $this->controller);
    }

    public function capped(float $cap, bool $checked): self
    {
        return $this->withChanged(cap: $cap, capChecked: $checked);
    }

    /** One of several equal parts, with nothing chosen for it yet. */
    public function partOf(string $id, int $part, int $parts): self
    {
        return new self(
            id: $id,
            place: $this->place,
            word: $this->word,
            sections: $this->sections,
            jumps: $this->jumps,
            mounting: $this->mounting,
            light: $this->light,
            height: $this->height,
            part: $part,
            parts: $parts,
        );
    }

    /** @param  list<int>  $zones */
    public function cut(array $zones): self
    {
        return $this->withChanged(zones: $zones);
    }

    /** @param  list<string>  $pins */
    public function pinned(array $pins): self
    {
        return $this->withChanged(pins: $pins);
    }

    private function holding(?string $strip, ?string $supply, ?string $controller): self
    {
        return $this->withChanged(strip: $strip, supply: $supply, controller: $controller);
    }
}
