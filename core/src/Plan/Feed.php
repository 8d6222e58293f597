<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** A feed point of a run: the pad that it is joined to, counted from the run's start. */
final readonly class Feed implements JsonReadable
{
    use Record;

    public function __construct(public string $id, public string $run, #[Field(0, 400_000)] public int $pad) {}
}
