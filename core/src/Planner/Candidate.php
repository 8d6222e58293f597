<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** A point of a space of choices, or the layout that it is. */
final readonly class Candidate
{
    /**
     * @param  list<int>  $at  one number per list
     * @param  int  $last  the list that was moved last
     * @param  Layout|null  $layout  once it is built
     */
    public function __construct(
        public int $rank,
        public ChoiceLists $space,
        public array $at,
        public int $last,
        public ?Layout $layout,
    ) {}
}
