<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** One action that fixes a finding: what its button says and the change that it makes. */
final readonly class Fix implements JsonWritable
{
    public function __construct(public string $label, public ChangePayload $change) {}

    /** @return array<string, mixed> as in app/Screens/screen.json, $defs/fix */
    public function write(): array
    {
        return ['label' => $this->label, 'change' => $this->change->write()];
    }
}
