<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** Kit of a kind that no rule needs its own class for: its values by field. */
final readonly class Thing implements Entry
{
    public function __construct(private string $id, private string $name, public string $kind, public Fields $values) {}

    public static function read(Fields $f): self
    {
        return new self($f->string('id'), $f->string('name'), $f->string('kind'), new Fields($f->all()));
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
