<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Measure\Site\RunNote;

/** A run of strip: its sections as measured, the leads between them, and the kit that feeds it. */
final readonly class Run
{
    /**
     * @param  string  $word  its word in the place's tape notes
     * @param  non-empty-list<float>  $sections  metres each
     * @param  list<float>  $jumps  metres of lead between sections
     * @param  list<string>  $mounting  of RunNote::MOUNTINGS
     * @param  string  $light  room, mood, or empty
     * @param  float|null  $height  metres above the floor
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
    ) {
    }

    public function name(): string
    {
        return mb_strtoupper(mb_substr($this->word, 0, 1)).mb_substr($this->word, 1);
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
        return new self($this->id, $this->place, $this->word, $sections, $jumps, $this->strip, $this->supply, $this->controller,
            $this->mounting, $this->light, $this->height);
    }

    /** As the notes describe it; as nobody has described it without a note. */
    public function described(?RunNote $note): self
    {
        return new self($this->id, $this->place, $this->word, $this->sections, $this->jumps, $this->strip, $this->supply, $this->controller,
            $note->mounting ?? [], $note->light ?? '', $note?->height);
    }

    public function equipped(?string $strip = null, ?string $supply = null, ?string $controller = null): self
    {
        return new self($this->id, $this->place, $this->word, $this->sections, $this->jumps,
            $strip ?? $this->strip, $supply ?? $this->supply, $controller ?? $this->controller, $this->mounting, $this->light, $this->height);
    }

    /** Without its strip: it has become too short for one. */
    public function bare(): self
    {
        return new self($this->id, $this->place, $this->word, $this->sections, $this->jumps, null, $this->supply, $this->controller,
            $this->mounting, $this->light, $this->height);
    }
}
