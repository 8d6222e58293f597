<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** A fuse by its amps. */
final readonly class Fuse implements Entry
{
    private function __construct(private string $id, private string $name, public float $amps) {}

    public static function read(Fields $f): self
    {
        return new self($f->string('id'), $f->string('name'), $f->number('amps', 0.1, 200));
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
