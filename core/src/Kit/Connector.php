<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** A kind of joint: ohm of one contact, most amps, minutes to make one. */
final readonly class Connector implements Entry
{
    /** Ohm of a soldered joint (common practice, no source). */
    public const SOLDERED = 0.001;

    /** Ohm of a core in a screw or lever terminal (common practice, no source). */
    public const TERMINAL = 0.002;

    private function __construct(
        private string $id,
        private string $name,
        public string $joint,
        public float $ohms,
        public float $amps,
        public ?float $minutes,
    ) {}

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->string('id'),
            name: $f->string('name'),
            joint: $f->string('joint', 20),
            ohms: $f->number('ohms', 0, 1),
            amps: $f->number('amps', 0.1, 200),
            minutes: $f->numberOrNull('minutes', 0, 600),
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
