<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/**
 * A battery block: volts by its name, ampere-hours, ohm inside. A bank of 12 V lies at 11.0, 12.6 and 14.4 V
 * (docs/model.md 4, common practice, no source); other banks in proportion.
 */
final readonly class Block implements Powers
{
    /** Ohm of a 12 V row where the leaflet is silent (common practice, no source). */
    private const OHMS = 0.008;

    /** Hours of the current that a bank keeps up without harm (common practice, no source). */
    private const HOURS = 5.0;

    /** Times that current before its volts give way. */
    private const SHORT = 20.0;

    private function __construct(
        private string $id,
        private string $name,
        public float $volts,
        public float $ampHours,
        private float $ohms,
    ) {}

    public static function read(Fields $f): self
    {
        $volts = $f->number('volts', 1, 60);

        return new self(
            id: $f->string('id'),
            name: $f->string('name'),
            volts: $volts,
            ampHours: $f->number('ampHours', 0.5, 5000),
            ohms: $f->numberOr('sourceOhms', (self::OHMS * $volts) / 12, 0.0001, 10),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function supply(int $series, int $parallel): Supply
    {
        $named = $series * $this->volts;
        $rated = ($this->ampHours * $parallel) / self::HOURS;

        return new Supply(
            id: $this->id,
            name: ($series > 1 ? "{$series} of " : '') . $this->name,
            volts: $named,
            ratedAmps: $rated,
            sourceOhms: max(0.001, ($this->ohms * $series) / $parallel),
            limitAmps: self::SHORT * $rated,
            overloadAmps: self::SHORT * $rated,
            emf: (Bank::TWELVE['nominal'] / Bank::OF) * $named,
            lowest: (Bank::TWELVE['lowest'] / Bank::OF) * $named,
            charging: (Bank::TWELVE['charging'] / Bank::OF) * $named,
            ampHours: $this->ampHours * $parallel,
        );
    }
}
