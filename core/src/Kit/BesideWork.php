<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** The step that fits or prepares kit beside the runs. */
final readonly class BesideWork implements JsonReadable
{
    use Record;

    /** @param  list<string>  $tools */
    public function __construct(
        public string $does,
        public string $why,
        #[Field(of: Field::TEXTS)] public array $tools,
        public string $caution,
    ) {}
}
