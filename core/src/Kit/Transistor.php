<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** A transistor that switches minus: amps, what it loses, and how it sheds heat. Volts, ohms, K/W, °C. */
final readonly class Transistor implements Entry
{
    /**
     * @param  float|null  $gain  of a bipolar one: least amps through it for one amp into its base; null if unknown
     * @param  float|null  $satVolts  lost while a bipolar one is fully on; null if unknown
     * @param  float  $baseVolts  from base to minus while it is on
     * @param  float|null  $onOhms  of a MOSFET that is fully on, cold; null if unknown
     * @param  float|null  $gateVolts  at its gate for that resistance; null if unknown
     * @param  float  $heat  K/W from its chip to still air
     */
    private function __construct(
        private string $id,
        private string $name,
        public float $amps,
        public bool $mosfet,
        public ?float $gain,
        public ?float $satVolts,
        public float $baseVolts,
        public ?float $onOhms,
        public ?float $gateVolts,
        public float $heat,
        public float $mostCelsius,
    ) {}

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->string('id'),
            name: $f->string('name'),
            amps: $f->number('amps'),
            mosfet: $f->string('make') === 'MOSFET',
            gain: $f->numberOrNull('gain'),
            satVolts: $f->numberOrNull('satVolts'),
            baseVolts: $f->numberOr('baseVolts', 0.9),
            onOhms: $f->numberOrNull('onOhms'),
            gateVolts: $f->numberOrNull('gateVolts'),
            heat: $f->number('heat'),
            mostCelsius: $f->number('mostCelsius'),
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
}
