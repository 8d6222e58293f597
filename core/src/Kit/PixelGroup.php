<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** Current of one cut length of a pixel strip: amps of all colours at full, idle amps, turn-on volts and volts of full current. */
final readonly class PixelGroup
{
    private function __construct(
        public float $amps,
        public float $idle,
        public float $turnOn,
        public float $full,
        public int $dataWires,
        public int $pixels,
        public int $colours,
        public int $bits,
    ) {}

    /** @throws \EmberDusk\Values\Refusal */
    public static function read(Fields $f): self
    {
        $colours = $f->oneOf('colours', ['rgb', 'rgbw']) === 'rgbw' ? 4 : 3;
        $group = new self(
            amps: ($colours * $f->number('milliamps', 1, 200)) / 1000,
            idle: $f->numberOr('idleMilliamps', 1, 0, 20) / 1000,
            turnOn: $f->number('turnOnVolts', 0, 60),
            full: $f->number('fullVolts', 0.1, 60),
            dataWires: $f->whole('dataWires', 1, 2),
            pixels: $f->whole('pixelsPerCut', 1, 60),
            colours: $colours,
            bits: $f->whole('bits', 24, 32),
        );
        if ($group->full <= $group->turnOn) {
            throw $f->invalid('fullVolts', 'Full current needs more volts than the turn-on.');
        }

        return $group;
    }
}
