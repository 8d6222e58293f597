<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A run in a proposed layout and as it is fed now, for its picture. */
final readonly class ProposedRun implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  float  $metres  of strip
     * @param  list<ProposedFeed>  $feeds
     * @param  list<float>  $now  metres from its start of the current feeds
     * @param  bool  $moved  whether it is fed elsewhere than now
     * @param  ProposedPart  $cable  to its feeds
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $metres,
        #[Field(of: ProposedFeed::class)] public array $feeds,
        #[Field(of: Field::NUMBERS)] public array $now,
        public bool $moved,
        public ProposedPart $cable,
        public ?ProposedPart $controller,
        public ProposedPart $source,
    ) {}
}
