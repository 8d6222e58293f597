<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/** Numbers as bytes, eight each. */
final readonly class PackedRow
{
    public function __construct(public string $bytes) {}
}
