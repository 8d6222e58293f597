<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** A scene of a show: seconds that it stays, seconds in which it comes. */
final readonly class ShowStep implements JsonReadable
{
    use Record;

    public function __construct(
        #[Field(longest: 40)] public string $scene,
        #[Field(0, Show::LONGEST)] public float $hold,
        #[Field(0, Show::LONGEST)] public float $fade = 0.0,
    ) {}
}
