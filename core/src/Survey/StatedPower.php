<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** Power source of a job that is not measured yet. */
enum StatedPower: string
{
    case Outlet = 'outlet';
    case Mains = 'mains';
    case Battery = 'battery';

    /** Live with the key of a vehicle only. */
    case Key = 'key';
}
