<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Meter;

/** A meter position and its quantity: volts between two points, or amps through one. */
final readonly class MeterSpot
{
    /**
     * @param  string  $id  "s1", "c1:out1", "run@3.20:1", "w3:end:1", "w3:joint:1", "w3:amps:1"
     * @param  string  $unit  V or A
     * @param  string  $of  the part of the plan that it is at: a supply, controller, cable or run
     * @param  string  $words place as text
     * @param  array{string, string}|null  $nodes  between which volts are read
     * @param  string|null  $through  the resistor or source whose amps are read
     * @param  list<string>  $along  resistors in a row, between whose outer ends volts are read
     * @param  float  $sign -1 on the return, so that correct current reads positive
     * @param  float|null  $metres  along the run, where it is on one
     * @param  bool  $fine  whether both ends are of one conductor: a few millivolts where all is well
     */
    public function __construct(
        public string $id,
        public string $unit,
        public string $of,
        public string $words,
        public ?array $nodes = null,
        public ?string $through = null,
        public ?PadSpot $pad = null,
        public ?float $metres = null,
        public bool $fine = false,
        public array $along = [],
        public float $sign = 1.0,
    ) {}
}
