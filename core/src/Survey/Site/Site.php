<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

/** Everything that the notes of a place say beside its walls. */
final readonly class Site
{
    /**
     * @param  int|null  $floor  0 is the ground floor
     * @param  float|null  $height  metres from floor to ceiling
     * @param  bool|null  $damp null if unknown
     * @param  float|null  $air highest air temperature in °C; null if unknown
     * @param  list<Outlet>  $outlets
     * @param  list<Box>  $boxes
     * @param  list<Battery>  $batteries
     * @param  list<CableLeg>  $legs
     * @param  list<Radio>  $radios
     * @param  array<string, RunNote>  $runs  by the run's word
     * @param  list<Present>  $present existing things
     * @param  int  $bundled  loaded cables that are together in its largest bundle
     * @param  bool  $said whether lengths are stated, not measured
     * @param  list<SignalWire>  $signals  of a vehicle
     */
    public function __construct(
        public ?int $floor = null,
        public ?float $height = null,
        public ?bool $damp = null,
        public array $outlets = [],
        public array $boxes = [],
        public array $batteries = [],
        public array $legs = [],
        public array $radios = [],
        public array $runs = [],
        public ?float $air = null,
        public array $present = [],
        public bool $said = false,
        public int $bundled = 1,
        public array $signals = [],
    ) {}

    public function leg(string $name): ?CableLeg
    {
        foreach ($this->legs as $leg) {
            if ($leg->name === $name) {
                return $leg;
            }
        }

        return null;
    }

    public function spot(string $name): ?NamedSpot
    {
        foreach ($this->spots() as $spot) {
            if ($spot->name === $name) {
                return $spot;
            }
        }

        return null;
    }

    /** @return list<NamedSpot> of everything that has its own place */
    public function spots(): array
    {
        return array_map(static fn(Outlet|Box|Battery $i): NamedSpot => $i->spot, [
            ...$this->outlets,
            ...$this->boxes,
            ...$this->batteries,
        ]);
    }
}
