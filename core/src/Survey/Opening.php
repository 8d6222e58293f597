<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** A door or window in a wall, as drawn on the sheet. */
final readonly class Opening
{
    public function __construct(public Point $from, public Point $to, public string $what) {}
}
