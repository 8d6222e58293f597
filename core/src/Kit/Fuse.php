<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** A fuse by its amps and the volts d.c. that it breaks. */
final readonly class Fuse implements Entry
{
    private function __construct(private string $id, private string $name, public float $amps, public float $volts) {}

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->string('id'),
            name: $f->string('name'),
            amps: $f->number('amps', 0.1, 200),
            volts: Kinds::limit('fuse', 'volts', $f) ?? 0.0,
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
