<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A rule with its counts in the job. */
final readonly class CheckedRule implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  int  $found  stops and warnings
     */
    public function __construct(public string $says, public string $source, public int $found, public int $open) {}
}
