<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** Search result for the runs of one supply. */
final readonly class SearchResult
{
    /**
     * @param  LayoutTrial|null  $best  null when nothing that was tried holds
     * @param  int  $bound  nothing that holds has a lower rank
     * @param  bool  $exact  whether everything up to the bound was tried
     * @param  list<LayoutTrial>  $cheaper the first failing ones
     */
    public function __construct(
        public ?LayoutTrial $best,
        public int $bound,
        public bool $exact,
        public array $cheaper,
    ) {}
}
