<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** Kind of a job that is not measured yet. */
enum StatedKind: string
{
    case Shelf = 'shelf';
    case Room = 'room';
    case Vehicle = 'vehicle';
    case Matrix = 'matrix';
}
