<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/**
 * The usual value of a field that no label states: a number, a multiple of another field (over a further one), or one for each choice of another
 * field. Common practice, no source.
 */
final readonly class Assumed
{
    /**
     * @param  string  $of  field that the value is a multiple of; empty: an absolute figure
     * @param  string  $over  field that it is divided by; empty: none
     * @param  string  $by  field whose choice decides; empty: none
     * @param  array<string, float>  $values  by that choice
     * @param  bool  $follows  whether it follows from the other fields with nothing assumed
     */
    private function __construct(
        public float $times,
        public string $of,
        public string $over,
        public string $by,
        private array $values,
        public bool $follows,
    ) {}

    public static function read(Fields $f): self
    {
        $values = [];
        foreach ($f->has('values') ? $f->object('values')->all() : [] as $choice => $value) {
            $values[(string) $choice] = is_numeric($value) ? (float) $value : 0.0;
        }

        return new self(
            times: $f->numberOr('times', 1.0),
            of: $f->stringOrNull('of') ?? '',
            over: $f->stringOrNull('over') ?? '',
            by: $f->stringOrNull('by') ?? '',
            values: $values,
            follows: $f->has('follows') && $f->flag('follows'),
        );
    }

    /** Value for an entry; null where a field that it follows from is missing as well. */
    public function for(Fields $entry): ?float
    {
        if ($this->by !== '') {
            return $this->values[$entry->stringOrNull($this->by) ?? ''] ?? null;
        }
        $of = $this->of === '' ? 1.0 : $entry->numberOrNull($this->of);
        $over = $this->over === '' ? 1.0 : $entry->numberOrNull($this->over);
        if ($of === null || $over === null || $over <= 0.0) {
            return null;
        }

        $value = ($this->times * $of) / $over;

        // A cut length of 1/60 m must give 60 pixels a metre.
        return $this->follows ? $value : round($value, 6);
    }
}
