<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** How a remote, panel or bridge is reset. */
final readonly class ResetCard implements JsonWritable
{
    use WrittenRecord;

    public function __construct(public string $device, public string $says) {}
}
