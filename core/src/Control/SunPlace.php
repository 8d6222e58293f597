<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** Position of the sun in its year, in radians. */
final readonly class SunPlace
{
    /**
     * @param  float  $mean  longitude of the mean sun
     * @param  float  $anomaly  of the mean sun
     * @param  float  $longitude  as it appears
     * @param  float  $obliquity  of the ecliptic
     */
    public function __construct(
        public float $mean,
        public float $anomaly,
        public float $longitude,
        public float $obliquity,
    ) {}
}
