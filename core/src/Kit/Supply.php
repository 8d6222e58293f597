<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** A mains supply: volts at no load, rated amps, ohm of its source, amps where it limits and where it trips. */
final readonly class Supply implements Entry
{
    public function __construct(
        private string $id,
        private string $name,
        public float $volts,
        public float $ratedAmps,
        public float $sourceOhms,
        public float $limitAmps,
        public float $overloadAmps,
    ) {
    }

    /** Limit 1.1 and sustained overload 1.5 times the rating where the leaflet is silent (engineering.md 4 and 7). */
    public static function read(Fields $f): self
    {
        $rated = $f->number('ratedAmps', 0.01, 200);

        return new self($f->string('id'), $f->string('name'), $f->number('volts', 3, 60), $rated,
            $f->number('sourceOhms', 0.001, 10), $f->numberOr('limitAmps', 1.1 * $rated, $rated, 4 * $rated),
            $f->numberOr('overloadAmps', 1.5 * $rated, $rated, 4 * $rated));
    }

    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function ratedWatts(): float
    {
        return $this->volts * $this->ratedAmps;
    }
}
