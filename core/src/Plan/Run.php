<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Survey\Site\RunNote;
use EmberDusk\Values\Copies;

/** A run of strip: its sections as measured, the leads between them, and the kit that feeds it. */
final readonly class Run
{
    use Copies;

    /** Parts that a proposal may not change. */
    public const PINS = ['feeds', 'cables', 'kit'];

    /**
     * @param  string  $word  its word in the place's tape notes
     * @param  non-empty-list<float>  $sections  metres each
     * @param  list<float>  $jumps  metres of lead between sections
     * @param  list<string>  $mounting  of RunNote::MOUNTINGS
     * @param  string  $light  room, mood, or empty
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

    public static function read(Fields $r): self
    {
        $sections = $r->numbers('sections', 0.01, 1000);
        if ($sections === [] || count($sections) > 200) {
            throw $r->invalid('sections', 'A run has 1 to 200 sections.');
        }
        $jumps = $r->numbers('jumps', 0.0, 1000);
        if (count($jumps) !== count($sections) - 1) {
            throw $r->invalid('jumps', 'There must be one jump fewer than sections.');
        }

        return new self(
            id: $r->string('id'),
            place: $r->string('place'),
            word: $r->string('word', 24),
            sections: $sections,
            jumps: $jumps,
            strip: $r->stringOrNull('strip'),
            supply: $r->stringOrNull('supply'),
            controller: $r->stringOrNull('controller'),
            mounting: self::mounting($r),
            light: $r->string('light', 10),
            height: $r->numberOrNull('height', 0, 1000),
            part: $r->whole('part', 1, 8),
            parts: $r->whole('parts', 1, 8),
            cap: $r->number('cap', 0.2, 1),
            capChecked: $r->flag('capChecked'),
            zones: array_map(static fn(float $pad): int => (int) $pad, $r->numbers('zones', 1, 400_000)),
            pins: $r->strings('pins'),
        );
    }

    /** @return list<string> */
    private static function mounting(Fields $r): array
    {
        $mounting = $r->strings('mounting');
        foreach ($mounting as $n => $one) {
            if (!in_array($one, RunNote::MOUNTINGS, true)) {
                throw $r->invalid("mounting/{$n}", "“{$one}” is not one of " . implode(', ', RunNote::MOUNTINGS) . '.');
            }
        }

        return $mounting;
    }

    /** @return array<string, mixed> */
    public function write(): array
    {
        return [
            'id' => $this->id,
            'place' => $this->place,
            'word' => $this->word,
            'sections' => $this->sections,
            'jumps' => $this->jumps,
            'mounting' => $this->mounting,
            'light' => $this->light,
            'height' => $this->height,
            'part' => $this->part,
            'parts' => $this->parts,
            'cap' => $this->cap,
            'capChecked' => $this->capChecked,
            'zones' => $this->zones,
            'pins' => $this->pins,
            'strip' => $this->strip,
            'supply' => $this->supply,
            'controller' => $this->controller,
        ];
    }

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
