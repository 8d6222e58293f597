<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** Steps back after a loss, under their mark in the annex. */
final readonly class RecoveryGuide implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  string  $same  mark of a guide with the same steps; empty where the steps are its own
     * @param  list<string>  $steps
     */
    public function __construct(
        public string $mark,
        public string $what,
        public string $title,
        public string $says,
        public string $same,
        #[Field(of: Field::TEXTS)] public array $steps,
    ) {}
}
