<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\HashedRow;
use App\Screens\KeyedRow;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Plan\Segment;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Fix;

/** A run as a ribbon: light along its length, feeds, supply, controller. */
final readonly class WireRun implements KeyedRow
{
    use HashedRow;
    use WrittenRecord;

    /**
     * @param  list<string>  $colours
     * @param  list<string>  $channels
     * @param  list<WireFeed>  $feeds
     * @param  list<float>  $light
     * @param  list<list<float>>  $volts
     * @param  list<float>  $amps
     * @param  list<list<float>>  $spread
     * @param  list<string>  $seen
     * @param  list<WireWay>  $cables
     * @param  list<Fix>  $taps
     * @param  list<string>  $pins
     * @param  list<Segment>  $segments
     * @param  list<string>  $signals  wires from signals of a vehicle to its unit
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $length,
        public float $metres,
        public float $pitch,
        public int $lastPad,
        public ?string $strip,
        #[Field(of: Field::TEXTS)] public array $colours,
        #[Field(of: Field::TEXTS)] public array $channels,
        public float $nominalVolts,
        public float $evennessLimit,
        public bool $endsMeet,
        public ?string $trouble,
        public ?WireDevice $supply,
        public ?WireDevice $controller,
        public ?WireCable $trunk,
        #[Field(of: WireFeed::class)] public array $feeds,
        #[Field(of: Field::NUMBERS)] public array $light,
        #[Field(of: Field::NUMBERS, depth: 2)] public array $volts,
        #[Field(of: Field::NUMBERS)] public array $amps,
        #[Field(of: Field::NUMBERS, depth: 2)] public array $spread,
        #[Field(of: Field::TEXTS)] public array $seen,
        public string $place,
        #[Field(of: WireWay::class)] public array $cables,
        #[Field(of: Fix::class)] public array $taps,
        public string $data,
        public ?float $dataAt,
        public ?Figure $load,
        public ?Figure $evenness,
        #[Field(of: Field::TEXTS)] public array $pins,
        public bool $thin,
        public bool $split,
        public int $pixels,
        #[Field(of: Segment::class)] public array $segments,
        #[Field(of: Field::TEXTS)] public array $signals,
    ) {}
}
