<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Survey\Site\Box;

/** Contents of a box and the units that still fit: each in some orientation, all together with room for air and leads. */
final readonly class BoxRoom
{
    /** Share of a box's room that units may take: the rest is air, bends and joints (common practice, no source). */
    public const FULL = 0.6;

    /**
     * @param  array<string, KitSnapshot>  $units its units, by device
     * @param  array{float, float, float}|null  $size metres; null until measured
     */
    private function __construct(public array $units, public ?array $size) {}

    public static function for(Plan $plan, string $place, Box $box): self
    {
        $units = [];
        foreach ($plan->devices() as $device) {
            $kit = $plan->kit[$device->kit] ?? null;
            if ($kit !== null && $device->stands?->place === $place && $device->stands->spot === $box->spot->name) {
                $units[$device->id] = $kit;
            }
        }

        return new self($units, $box->size);
    }

    /** Of the units whose size is known; null until the box is measured. */
    public function share(): ?float
    {
        if ($this->size === null) {
            return null;
        }

        return $this->taken() / array_product($this->size);
    }

    /** Whether one more would still fit; null where its size, the box's, or that of a unit in it is not known and decides. */
    public function fits(KitSnapshot $kit): ?bool
    {
        $size = self::size($kit);
        if ($size === null || $this->size === null) {
            return null;
        }
        $room = self::FULL * array_product($this->size) + 1e-12;
        if ($this->holds($kit) !== true || $this->taken() + array_product($size) > $room) {
            return false;
        }

        return $this->allKnown() ? true : null;
    }

    /** Whether the size of each unit in it is known: otherwise its share is the least that it can be. */
    public function allKnown(): bool
    {
        return !in_array(null, array_map(self::size(...), $this->units), true);
    }

    /** Whether it goes in automatically, some way round; null where its size or the box's is not known. */
    public function holds(KitSnapshot $kit): ?bool
    {
        $size = self::size($kit);
        if ($size === null || $this->size === null) {
            return null;
        }
        $box = $this->size;
        sort($size);
        sort($box);

        return $size[0] <= $box[0] + 1e-9 && $size[1] <= $box[1] + 1e-9 && $size[2] <= $box[2] + 1e-9;
    }

    /** @return array{float, float, float}|null metres; null where the shelf does not say */
    public static function size(KitSnapshot $kit): ?array
    {
        $f = new Fields($kit->written);
        [$width, $height, $depth] = [$f->numberOrNull('width'), $f->numberOrNull('height'), $f->numberOrNull('depth')];

        if ($width === null || $height === null || $depth === null) {
            return null;
        }

        return [$width, $height, $depth];
    }

    /** Cubic metres of the units whose size is known. */
    private function taken(): float
    {
        $known = array_filter(array_map(self::size(...), $this->units));

        return array_sum(array_map(static fn(array $size): float => (float) array_product($size), $known));
    }
}
