<?php

declare(strict_types=1);

namespace EmberDusk\Costing;

use EmberDusk\Kit\ShelfSource;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Arrangement;

/** Inputs of a price besides the plan: the shelf, the van's offcuts, the crew's pace, its visits. */
final readonly class Basis
{
    /** @param  array<string, list<float>>  $offcuts  metres, by shelf id */
    public function __construct(
        public ShelfSource $shelf,
        public array $offcuts = [],
        public Productivity $crew = new Productivity([]),
        public Arrangement $arrangement = new Arrangement(),
    ) {}
}
