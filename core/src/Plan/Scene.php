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

    /** @param  array<string, list<float>>  $levels */
    public function lit(array $levels): self
    {
        return $this->withChanged(levels: $levels);
    }
}
