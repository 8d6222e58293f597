<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** What a person may ask the planner to use instead of its own choice. */
enum WishKind: string
{
    case Cable = 'cable';
    case Controller = 'controller';
    case Supply = 'supply';
    case Place = 'place';
    case OneSupply = 'one-supply';
}
