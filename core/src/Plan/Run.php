<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** A run of strip: its sections as measured, the leads between them, and the kit that feeds it. */
final readonly class Run
{
    /**
     * @param  string  $word  its word in the place's tape notes
     * @param  non-empty-list<float>  $sections  metres each
     * @param  list<float>  $jumps  metres of lead between sections
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
        return new self($this->id, $this->place, $this->word, $sections, $jumps, $this->strip, $this->supply, $this->controller);
    }

    public function equipped(?string $strip = null, ?string $supply = null, ?string $controller = null): self
    {
        return new self($this->id, $this->place, $this->word, $this->sections, $this->jumps,
            $strip ?? $this->strip, $supply ?? $this->supply, $controller ?? $this->controller);
    }
}
