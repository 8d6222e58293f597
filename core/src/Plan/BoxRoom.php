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

    /** From known units; null until the box is measured. */
    public function share(): ?float
    {
        if ($this->size === null) {
            return null;
        }

        return $this->taken() / array_product($this->size);
    }

    /** Whether one more would still fit; null where its size or the box's is not known. */
    public function fits(KitSnapshot $kit): ?bool
    {
        $size = self::size($kit);
        if ($size === null || $this->size === null) {
            return null;
        }

        return $this->holds($kit) === true &&
            $this->taken() + array_product($size) <= self::FULL * array_product($this->size) + 1e-12;
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

    private function taken(): float
    {
        return array_sum(
            array_map(static fn(KitSnapshot $k): float => (float) array_product(self::size($k) ?? [0.0]), $this->units),
        );
    }
}
