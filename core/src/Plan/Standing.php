<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Survey\Length;
use EmberDusk\Survey\Point;
use EmberDusk\Survey\TapeSheet;

/** Position of a unit: a place of the job, at a surveyed outlet or in a box, or at a measured point of a wall. */
final readonly class Standing
{
    /**
     * @param  string  $place  id
     * @param  string  $spot  name of an outlet, spur, box or battery of the place; empty at a wall
     * @param  int|null  $wall  number of the leg of the tape notes that it is measured along, from 0
     * @param  float  $at  metres from that leg's start
     * @param  float|null  $up metres above the floor; null for the spot's height, or if not measured
     */
    public function __construct(
        public string $place,
        public string $spot = '',
        public ?int $wall = null,
        public float $at = 0.0,
        public ?float $up = null,
    ) {}

    /** @throws \EmberDusk\Values\Refusal at the first value that cannot be */
    public static function read(Fields $f): self
    {
        return new self(
            place: $f->string('place', 80),
            spot: $f->stringOrNull('spot', 80) ?? '',
            wall: $f->wholeOrNull('wall', 0, 10_000),
            at: $f->numberOr('at', 0.0, 0, 10_000),
            up: $f->numberOrNull('up', -100, 100),
        );
    }

    /** @return array{place: string, spot: string, wall: int|null, at: float, up: float|null} */
    public function write(): array
    {
        return [
            'place' => $this->place,
            'spot' => $this->spot,
            'wall' => $this->wall,
            'at' => $this->at,
            'up' => $this->up,
        ];
    }

    /** Its point on the sheet of its place; null if the notes do not have it. */
    public function on(TapeSheet $sheet): ?Point
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
