<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** What a search for the runs of one supply came to. */
final readonly class Found
{
    /**
     * @param  Tried|null  $best  null when nothing that was tried holds
     * @param  Tried|null  $nearest  of those that do not
     * @param  int  $bound  nothing that holds has a lower rank
     * @param  bool  $exact  whether everything up to the bound was tried
     * @param  list<Tried>  $cheaper  the first of those that do not hold
     */
    public function __construct(
        public ?Tried $best,
        public ?Tried $nearest,
        public int $bound,
        public bool $exact,
        public array $cheaper,
    ) {}
}
