<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** A kind of joint: ohm of one contact, most amps, minutes to make one. */
final readonly class Connector implements Entry
{
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
            $f->string('id'),
            $f->string('name'),
            $f->string('joint', 20),
            $f->number('ohms', 0, 1),
            $f->number('amps', 0.1, 200),
            $f->numberOrNull('minutes', 0, 600),
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
