<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\Record;
use EmberDusk\Formats\Record\Recorded;

/** A scene of a show: seconds that it stays, seconds in which it comes. */
final readonly class ShowStep implements Recorded
{
    use Record;

    public function __construct(
        #[Field(longest: 40)] public string $scene,
        #[Field(0, Show::LONGEST)] public float $hold,
        #[Field(0, Show::LONGEST)] public float $fade = 0.0,
    ) {}
}
