<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** Fixtures of one kind at one place: so many together, on a cable of their own or under a dimming module. */
final readonly class Fitting
{
    /** @param  string|null  $module device id of its dimming module; null for those on a supply */
    public function __construct(
        public string $id,
        public string $kit,
        public string $place,
        public int $count,
        public ?string $module,
    ) {}
}
