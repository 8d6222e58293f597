<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

/** A node that is eliminated, and what that changes. */
final readonly class EliminationStep
{
    /**
     * @param  int  $own  its slot on the diagonal
     * @param  list<int>  $others  neighbours
     * @param  list<int>  $slots  of the pairs with them
     * @param  list<int>  $targets  slots of the pairs among them
     */
    public function __construct(
        public int $node,
        public int $own,
        public array $others,
        public array $slots,
        public array $targets,
    ) {}
}
