<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** Choice that a person may ask the planner to keep to. */
enum WishKind: string
{
    case Cable = 'cable';
    case Controller = 'controller';
    case Board = 'board';
    case Supply = 'supply';
    case Converter = 'converter';
    case Place = 'place';
    case OneSupply = 'one-supply';
    case Feeds = 'feeds';
}
