<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** How much of a light one kind of control works. */
final readonly class OptionReach implements JsonWritable
{
    use WrittenRecord;

    /** @param  string  $kind  of the control on the shelf; app: that of the hub */
    public function __construct(
        public string $kind,
        public string $label,
        #[Field(oneOf: [ControlReach::ALL, ControlReach::DIMS, ControlReach::NOT])] public string $reach,
        public string $text,
    ) {}
}
