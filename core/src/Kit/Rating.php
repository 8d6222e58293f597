<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Values\Severity;

/** How a field of a kind of kit is judged: the quantity that is compared with it, on which side, and by which check. */
final readonly class Rating
{
    /** The quantity may be as high as the field at most, must be as high at least, must equal it, or the field itself is the load. */
    public const SIDES = ['most', 'least', 'equal', 'load'];

    /**
     * @param  string  $quantity  key of a quantity; in words where its own check judges it
     * @param  string  $side  of SIDES
     * @param  string  $code  of the finding of the check that judges it; empty where Ratings does
     * @param  float|null  $safe  limit that counts where the entry gives none; null where it has to be entered
     * @param  string  $times  field that the safe limit is a multiple of; empty where it is an absolute figure
     */
    private function __construct(
        public string $quantity,
        public string $side,
        public string $code,
        public Severity $severity,
        public string $source,
        public ?float $safe,
        public string $times,
    ) {}

    public static function read(Fields $f): self
    {
        return new self(
            quantity: $f->string('quantity'),
            side: $f->oneOf('side', self::SIDES),
            code: $f->stringOrNull('code') ?? '',
            severity: Severity::from($f->stringOrNull('severity') ?? Severity::Stop->value),
            source: $f->stringOrNull('source') ?? '',
            safe: $f->numberOrNull('safe'),
            times: $f->stringOrNull('times') ?? '',
        );
    }

    /** Safe limit for an entry that gives none; null where there is no such figure. */
    public function safeFor(Fields $entry): ?float
    {
        if ($this->safe === null || $this->times === '') {
            return $this->safe;
        }
        $base = $entry->numberOrNull($this->times);

        return $base === null ? null : round($this->safe * $base, 4);
    }
}
