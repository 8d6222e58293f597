<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** What a job is about, if that is all that is known of it. */
enum StatedKind: string
{
    case Shelf = 'shelf';
    case Room = 'room';
    case Vehicle = 'vehicle';
    case Matrix = 'matrix';
}
