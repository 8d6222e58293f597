<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** A problem or an open decision: place, number, limit, source, and fixes. */
final readonly class Finding implements JsonWritable
{
    use Copies;

    /**
     * @param  list<Fix>  $fixes
     * @param  bool  $asks  whether there may be fixes that have to be solved first
     */
    public function __construct(
        public string $code,
        public Severity $severity,
        public string $title,
        public string $detail,
        public FindingPlace $place,
        public ?float $number = null,
        public ?float $limit = null,
        public string $source = '',
        public array $fixes = [],
        public bool $asks = false,
    ) {}

    /**
     * Worst first; among equals in the order they were found.
     *
     * @param  list<self>  $findings
     * @return list<self>
     */
    public static function worstFirst(array $findings): array
    {
        usort($findings, static fn(self $a, self $b): int => $a->severity->rank() <=> $b->severity->rank());

        return $findings;
    }

    /** Key of its text and place: an acceptance ends when it changes. */
    public function key(): string
    {
        return $this->code . '.' . hash('xxh32', "{$this->place->stage->value} {$this->place->id} {$this->title}");
    }

    /** Whether a person may accept it, with a reason; dangers and failures are fixed. */
    public function acceptable(): bool
    {
        return $this->severity !== Severity::Stop;
    }

    /** Share of its limit by which its number is beyond it; null where it has no such limit. */
    public function excess(): ?float
    {
        return $this->number === null || $this->limit === null || $this->limit <= 0
            ? null
            : abs($this->number - $this->limit) / $this->limit;
    }

    /** @param  list<Fix>  $fixes */
    public function mended(array $fixes): self
    {
        return $this->withChanged(fixes: $fixes, asks: false);
    }

    /** @return array<string, mixed> as in app/Screens/screen.json, $defs/finding */
    public function write(): array
    {
        return [
            'code' => $this->code,
            'key' => $this->key(),
            'acceptable' => $this->acceptable(),
            'severity' => $this->severity->value,
            'title' => $this->title,
            'detail' => $this->detail,
            'stage' => $this->place->stage->value,
            'place' => $this->place->id,
            'source' => $this->source,
            'asks' => $this->asks,
            'fixes' => array_map(static fn(Fix $f): array => $f->write(), $this->fixes),
        ];
    }
}
