<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\KitSnapshot;

/** Candidate parts of a block. */
final readonly class BlockChoices
{
    /**
     * @param  list<KitSnapshot>  $controllers  empty for pixels, as are the trunks
     * @param  list<KitSnapshot>  $trunks
     * @param  list<list<FeedOption>>  $feeds  ways to feed each run
     */
    public function __construct(public array $controllers, public array $trunks, public array $feeds) {}
}
