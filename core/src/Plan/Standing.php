<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;
use EmberDusk\Survey\Length;
use EmberDusk\Survey\Point;
use EmberDusk\Survey\WallSheet;

/** Position of a unit: a place of the job, at a surveyed outlet or in a box, or at a measured point of a wall. */
final readonly class Standing implements JsonReadable
{
    use Record;

    /**
     * @param  string  $place  id
     * @param  string  $spot  name of an outlet, spur, box or battery of the place; empty at a wall
     * @param  int|null  $wall  number of the leg of the wall notes that it is measured along, from 0
     * @param  float  $at  metres from that leg's start
     * @param  float|null  $up metres above the floor; null for the spot's height, or if not measured
     */
    public function __construct(
        #[Field(longest: 80)] public string $place,
        #[Field(longest: 80, optional: true)] public string $spot = '',
        #[Field(0, 10_000)] public ?int $wall = null,
        #[Field(0, 10_000, optional: true)] public float $at = 0.0,
        #[Field(-100, 100)] public ?float $up = null,
    ) {}

    /** Its point on the sheet of its place; null if the notes do not have it. */
    public function on(WallSheet $sheet): ?Point
    {
        if ($this->wall === null) {
            return $sheet->spots[$this->spot] ?? null;
        }

        return $sheet->along($this->wall, $this->at);
    }

    /** Such as “B1”, or “wall 2 at 1.20 m, 2.10 m up”. */
    public function words(string $system = Length::METRIC): string
    {
        if ($this->wall === null) {
            $words = $this->spot;
        } else {
            $words = 'wall ' . ($this->wall + 1) . ' at ' . Length::say($this->at, $system);
        }

        return $words . ($this->up === null ? '' : ', ' . Length::say($this->up, $system) . ' up');
    }
}
