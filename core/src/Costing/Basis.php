<?php

declare(strict_types=1);

namespace EmberDusk\Costing;

use EmberDusk\Kit\ShelfSource;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Arrangement;

/** What a price goes by besides the plan: the shelf, the van's offcuts, how fast the crew is, its visits. */
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
