<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\Figure;
use EmberDusk\Values\JsonWritable;

/** The cheapest single change that repairs the current layout. */
final readonly class Repair implements JsonWritable
{
    use WrittenRecord;

    public function __construct(public string $label, public Figure $cost, public ChangePayload $change) {}
}
