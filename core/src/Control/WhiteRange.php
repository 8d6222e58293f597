<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** Kelvin between which a white can be set. */
final readonly class WhiteRange implements JsonWritable
{
    use WrittenRecord;

    public function __construct(public int $least, public int $most) {}
}
