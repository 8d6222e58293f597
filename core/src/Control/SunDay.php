<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** Sunrise and sunset of one day in minutes from midnight of the site's clock; where the sun does not cross the horizon, why not. */
final readonly class SunDay
{
    public const UP = 'the sun does not set';

    public const DOWN = 'the sun does not rise';

    public function __construct(public ?int $rise, public ?int $set, public string $why = '') {}
}
