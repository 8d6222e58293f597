<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use DateTimeZone;
use EmberDusk\Formats\Fields;

/** Location of a job, its time zone, and whether it uses public roads. */
final readonly class Position
{
    /**
     * @param  float  $latitude  degrees, north is above 0
     * @param  float  $longitude  degrees, east is above 0
     * @param  string  $zone  of the clock, as in the tz database; empty: the crew's
     */
    public function __construct(
        public float $latitude,
        public float $longitude,
        public string $zone = '',
        public bool $road = false,
    ) {}

    /** @throws \EmberDusk\Values\Refusal at what cannot be */
    public static function read(Fields $f): self
    {
        $zone = trim($f->string('zone', 60));
        if ($zone !== '' && !in_array($zone, DateTimeZone::listIdentifiers(), true)) {
            throw $f->invalid(
                'zone',
                "“{$zone}” is no zone of the clock: choose one from the list, or leave it empty.",
            );
        }

        return new self($f->number('latitude', -90, 90), $f->number('longitude', -180, 180), $zone, $f->flag('road'));
    }

    /** @return array<string, mixed> */
    public function write(): array
    {
        return [
            'latitude' => $this->latitude,
            'longitude' => $this->longitude,
            'zone' => $this->zone,
            'road' => $this->road,
        ];
    }
}
