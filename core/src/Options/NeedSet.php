<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\JsonWritable;

/** Options for one answer to each of the three questions, best first. */
final readonly class NeedSet implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  ChangePayload|null  $set  the change that compares them; null where the shelf has none
     * @param  string  $none  why there are none
     */
    public function __construct(
        public string $colour,
        public string $by,
        public string $light,
        public ?ChangePayload $set,
        public string $none,
    ) {}
}
