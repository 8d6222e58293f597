<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Survey\Site\MatrixCell;

/** A line of the data through a matrix, from its first pixel to its last. */
final readonly class MatrixPath implements View
{
    use WrittenRecord;

    public function __construct(public MatrixCell $from, public MatrixCell $to) {}
}
