<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** A switch in a lead: amps and volts d.c. that it breaks. */
final readonly class InlineSwitch implements Entry
{
    private function __construct(private string $id, private string $name, public float $amps, public float $volts) {}

    public static function read(Fields $f): self
    {
        return new self(
            $f->string('id'),
            $f->string('name'),
            $f->number('amps', 0.1, 200),
            $f->number('volts', 3, 120),
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
