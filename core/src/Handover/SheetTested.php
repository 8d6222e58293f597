<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** Tests of a run or of dimmed lamps, done and missing. */
final readonly class SheetTested implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  list<string>  $done
     * @param  list<string>  $untested
     * @param  list<SheetReading>  $readings
     */
    public function __construct(
        public string $name,
        public string $place,
        #[Field(of: Field::TEXTS)] public array $done,
        #[Field(of: Field::TEXTS)] public array $untested,
        public string $seen,
        #[Field(of: SheetReading::class)] public array $readings,
    ) {}
}
