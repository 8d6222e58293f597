<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** A value that is written to JSON. */
interface JsonWritable
{
    /** @return array<string, mixed> */
    public function write(): array;
}
