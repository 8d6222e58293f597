<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use DateTimeZone;
use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Record\CheckedRecord;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\Record;

/** Location of a job, its time zone, and whether it uses public roads. */
final readonly class Position implements CheckedRecord
{
    use Record;

    /**
     * @param  float  $latitude  degrees, north is above 0
     * @param  float  $longitude  degrees, east is above 0
     * @param  string  $zone  of the clock, as in the tz database; empty: the crew's
     */
    public function __construct(
        #[Field(-90, 90)] public float $latitude,
        #[Field(-180, 180)] public float $longitude,
        #[Field(longest: 60)] public string $zone = '',
        public bool $road = false,
    ) {}

    public function checked(Fields $f): self
    {
        $zone = trim($this->zone);
        if ($zone !== '' && !in_array($zone, DateTimeZone::listIdentifiers(), true)) {
            throw $f->invalid(
                'zone',
                "“{$zone}” is no zone of the clock: choose one from the list, or leave it empty.",
            );
        }

        return $this->withChanged(zone: $zone);
    }
}
