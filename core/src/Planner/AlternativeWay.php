<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** Another good layout. */
final readonly class AlternativeWay implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  bool  $same  whether it is the proposed one
     */
    public function __construct(public string $name, public bool $same, public ProposedWay $way) {}
}
