<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** One action that fixes a finding: what its button says and the change that it makes. */
final readonly class Fix
{
    public function __construct(public string $label, public ChangePayload $change) {}
}
