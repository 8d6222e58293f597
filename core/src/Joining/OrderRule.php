<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** The rules of order. Each can be left out, to see what fails without it. */
enum OrderRule: string
{
    /** Whatever joins is reset first. */
    case ResetFirst = 'reset first';

    /** A remote joins the hub's network before it links. */
    case HubBeforeLink = 'hub before link';

    /** While one controller is linked the others near by have no power. */
    case OthersOff = 'others off';

    /** Names and rooms are given before an assistant that reads the hub searches. */
    case NamesBeforeRead = 'names before read';

    /** The app's search is ended before a remote is linked by the same presses. */
    case SearchEnded = 'search ended';

    /** A receiver's link follows its power-on immediately. */
    case PowerThenLink = 'power then link';
}
