<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** The demands on an option, as its questions have them. */
final readonly class OptionWish implements JsonWritable
{
    use WrittenRecord;

    public function __construct(
        public float $volts,
        public string $light,
        public string $colour,
        public int $controllers,
        public string $control,
        public string $source,
        public float $cap,
        public string $by,
    ) {}
}
