<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** Where the power of a stated job comes from. */
enum StatedPower: string
{
    case Outlet = 'outlet';
    case Mains = 'mains';
    case Battery = 'battery';
}
