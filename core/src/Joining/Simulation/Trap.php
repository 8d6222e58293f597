<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Simulation;

/** Traps on site. Each can be switched off in the simulated devices, to show that an order without its rule fails because of it. */
enum Trap: string
{
    /** A device that listens for some seconds only. */
    case Window = 'window';

    /** A remote that links before it is in the hub's network forms a separate one. */
    case OwnNetwork = 'own network';

    /** Two remotes that linked apart have a network each: a light is in one of them. */
    case TwoNetworks = 'two networks';

    /** A device in an old network does not search for another. */
    case OldNetwork = 'old network';

    /** A second powered controller near by takes the link. */
    case SecondPowered = 'second powered';

    /** A remote farther than the instructions's distance is not heard. */
    case Distance = 'distance';

    /** An assistant that reads a hub knows the names of the moment at which it searched. */
    case NamesAtSearch = 'names at search';

    /** A receiver takes orders of the phone that bound it and of no other. */
    case OnePhone = 'one phone';

    /** A receiver takes a link for some seconds after power-on only. */
    case Soon = 'soon after power-on';

    /** The presses that start a remote's link answer a running mesh search. */
    case MeshSearch = 'mesh search';

    /** A node reaches only nodes within its range. */
    case Reach = 'reach';

    /** A hub holds so many lights and no more. */
    case Capacity = 'capacity';

    /** A panel that is fixed cannot be brought near. */
    case Fixed = 'fixed';
}
