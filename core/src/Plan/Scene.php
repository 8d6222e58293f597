<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/**
 * A scene: duties (0 to 1) by channel, for each controller and each pixel run in it, and its fade in seconds. Other lights are off.
 */
final readonly class Scene implements JsonReadable
{
    use Record;

    /** Seconds of a fade at most. */
    public const LONGEST_FADE = 600.0;

    /** @param  array<string, list<float>>  $levels  by controller or run id */
    public function __construct(
        public string $id,
        #[Field(longest: 40)] public string $name,
        #[Field(0, self::LONGEST_FADE, optional: true)] public float $fade = 0.0,
        #[Field(0, 1, of: Field::NUMBERS, pairs: ['of', 'duties'])] public array $levels = [],
    ) {}

    /** @param  array<string, mixed>  $lights  those that are left, by id */
    public function only(array $lights): self
    {
        return $this->lit(array_intersect_key($this->levels, $lights));
    }

    /**
     * Duties of one pixel, from 1, of a run or of its segment there; none: it is off.
     *
     * @return list<float>
     */
    public function ofPixel(Plan $plan, string $run, int $pixel): array
    {
        foreach ($plan->segments as $id => $segment) {
            if ($segment->run === $run && $segment->has($pixel) && isset($this->levels[$id])) {
                return $this->levels[$id];
            }
        }

        return $this->levels[$run] ?? [];
    }

    /** Mean duty of all pixels of a run, 0 to 1. */
    public function share(Plan $plan, Run $run): float
    {
        $mean = static fn(array $duties): float => array_sum($duties) / max(1, count($duties));
        $whole = $mean($this->levels[$run->id] ?? []);
        $pixels = $plan->of($run)->pixels();
        $share = $whole;
        foreach ($plan->segments as $id => $segment) {
            if ($segment->run === $run->id && isset($this->levels[$id]) && $pixels > 0) {
                $share += (($mean($this->levels[$id]) - $whole) * $segment->pixels()) / $pixels;
            }
        }

        return $share;
    }

    /** @param  array<string, list<float>>  $levels */
    public function lit(array $levels): self
    {
        return $this->withChanged(levels: $levels);
    }
}
