<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/**
 * A scene: duties (0 to 1) by channel, for each controller and each pixel run in it, and its fade in seconds. Other lights are off.
 */
final readonly class Scene
{
    /** Seconds of a fade at most. */
    public const LONGEST_FADE = 600.0;

    /** @param  array<string, list<float>>  $levels  by controller or run id */
    public function __construct(
        public string $id,
        public string $name,
        public array $levels,
        public float $fade = 0.0,
    ) {}
}
