<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Formats;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\Record;
use EmberDusk\Formats\Record\Recorded;

/** A jar on a rack. */
final readonly class Jar implements Recorded
{
    use Record;

    /** @param  float  $litres  that it holds */
    public function __construct(public string $id, #[Field(0.1, 5)] public float $litres = 1.0) {}
}
