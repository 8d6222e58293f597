<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Formats;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** A jar on a rack. */
final readonly class Jar implements JsonReadable
{
    use Record;

    /** @param  float  $litres  that it holds */
    public function __construct(public string $id, #[Field(0.1, 5)] public float $litres = 1.0) {}
}
