<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** One action that fixes a finding: the label of its button and the change that it makes. */
final readonly class Fix implements JsonWritable
{
    public function __construct(public string $label, public ChangePayload $change) {}

    /** @return array{label: string, change: array<string, mixed>} */
    public function write(): array
    {
        return ['label' => $this->label, 'change' => $this->change->write()];
    }
}
