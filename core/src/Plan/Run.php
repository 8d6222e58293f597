<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Record\CheckedRecord;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\Record;
use EmberDusk\Survey\Site\RunNote;

/** A run of strip: its sections as measured, the leads between them, and the kit that feeds it. */
final readonly class Run implements CheckedRecord
{
    use Record;

    /** Parts that a proposal may not change. */
    public const PINS = ['feeds', 'cables', 'kit'];

    /** Metres above the floor up to which no ladder is needed. Common practice, no source. */
    public const REACH = 2.0;

    /**
     * @param  string  $word  its word in the place's wall notes
     * @param  non-empty-list<float>  $sections  metres each
     * @param  list<float>  $jumps  metres of lead between sections
     * @param  list<string>  $mounting  how it is fixed and where
     * @param  string  $light  main or accent light; empty if unknown
     * @param  float|null  $height  metres above the floor
     * @param  int  $part  which of the equal parts that the measured run is cut into, each with its own controller
     * @param  float  $cap  share of full load that the supply is sized for
     * @param  list<int>  $zones  pads where the + rail is cut and the returns are not, so that two supplies never meet
     * @param  list<string>  $pins parts that a proposal may not change: feeds, cables, kit
     * @param  bool  $capChecked  whether the limit that the cap needs was set in the controller and checked
     */
    public function __construct(
        public string $id,
        public string $place,
        #[Field(longest: 24)] public string $word,
        #[Field(0.01, 1000, of: Field::NUMBERS)] public array $sections,
        #[Field(0, 1000, of: Field::NUMBERS)] public array $jumps,
        #[Field(oneOf: RunNote::MOUNTINGS, of: Field::TEXTS)] public array $mounting = [],
        #[Field(oneOf: RunNote::LIGHTS, orEmpty: true)] public string $light = '',
        #[Field(0, 1000)] public ?float $height = null,
        #[Field(1, 8)] public int $part = 1,
        #[Field(1, 8)] public int $parts = 1,
        #[Field(0.2, 1)] public float $cap = 1.0,
        public bool $capChecked = false,
        #[Field(1, 400_000, of: Field::WHOLES)] public array $zones = [],
        #[Field(of: Field::TEXTS)] public array $pins = [],
        public ?string $strip = null,
        public ?string $supply = null,
        public ?string $controller = null,
    ) {}

    public function checked(Fields $f): self
    {
        $sections = count($f->numbers('sections', 0.01, 1000));
        if ($sections < 1 || $sections > 200) {
            throw $f->invalid('sections', 'A run has 1 to 200 sections.');
        }
        if (count($this->jumps) !== $sections - 1) {
            throw $f->invalid('jumps', 'There must be one jump fewer than sections.');
        }

        return $this;
    }

    /** Whether it is known to be reached from the floor. */
    public function reached(): bool
    {
        return $this->height !== null && $this->height <= self::REACH;
    }

    public function name(): string
    {
        return $this->whole() . ($this->parts > 1 ? " {$this->part} of {$this->parts}" : '');
    }

    /** The name of all parts together; several words have hyphens between them in the notes' id. */
    public function whole(): string
    {
        $words = str_replace('-', ' ', $this->word);

        return mb_strtoupper(mb_substr($words, 0, 1)) . mb_substr($words, 1);
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

    /** With the mounting from the notes; without a note it is unknown. */
    public function described(?RunNote $note): self
    {
        return $this->withChanged(mounting: $note->mounting ?? [], light: $note->light ?? '', height: $note?->height);
    }

    /** With the mounting of another part of it. */
    public function notedAs(self $part): self
    {
        return $this->withChanged(mounting: $part->mounting, light: $part->light, height: $part->height);
    }

    /** With the supply and the controller of another part of it. */
    public function fedAs(self $part): self
    {
        return $this->holding($this->strip, $part->supply, $part->controller);
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

    /**
     * One of several equal parts, with the kit of the whole.
     *
     * @param  non-empty-list<float>  $sections
     * @param  list<float>  $jumps
     */
    public function slice(string $id, int $part, int $parts, array $sections, array $jumps): self
    {
        return $this->withChanged(id: $id, part: $part, parts: $parts, sections: $sections, jumps: $jumps, zones: []);
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
