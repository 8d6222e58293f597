<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

use EmberDusk\Values\JsonWritable;

/** Place in a matrix, seen from the front: column from the left and row from the top, from 0. */
final readonly class MatrixCell implements JsonWritable
{
    public function __construct(public int $column, public int $row) {}

    /** @return array{column: int, row: int} */
    public function write(): array
    {
        return ['column' => $this->column, 'row' => $this->row];
    }
}
