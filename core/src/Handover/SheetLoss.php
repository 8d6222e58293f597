<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** One kind of loss, for the client. */
final readonly class SheetLoss implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  string  $steps  where the steps are in the annex
     */
    public function __construct(public string $title, public string $says, public string $steps) {}
}
