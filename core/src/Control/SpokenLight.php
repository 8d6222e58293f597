<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A light that a spoken command reaches: whether it answers, why, and its level from 0 to 1. */
final readonly class SpokenLight implements JsonWritable
{
    use WrittenRecord;

    public function __construct(
        public string $light,
        public string $name,
        public bool $answers,
        public string $why,
        public float $level,
    ) {}
}
