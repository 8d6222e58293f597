<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** Facts about a unit that its family states for general code. */
enum FamilyFact
{
    /** Its join can be missed once with nothing wrong. */
    case CanMiss;

    /** It works with the one phone that it was joined with. */
    case OnePhone;

    /** It has an account of the client's. */
    case Account;

    /** It is on the site's own network, and has to be given a new one. */
    case SiteNetwork;

    /** It does nothing without the internet. */
    case Internet;

    /** It forms a network with the lights that it links to, unless a hub has made one. */
    case FormsNetwork;

    /** It takes a touch link that is meant for a light near it. */
    case HearsLinks;
}
