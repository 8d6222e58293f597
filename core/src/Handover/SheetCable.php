<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A cable on the sheet, with its predicted figures in words. */
final readonly class SheetCable implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  string  $way  its ends
     * @param  string  $volts  at a feed point; empty elsewhere
     */
    public function __construct(
        public string $id,
        public string $way,
        public string $kit,
        public string $length,
        public string $volts,
        public string $amps,
        public string $drop,
    ) {}
}
