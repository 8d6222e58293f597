<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

/** Way in which the data goes through a matrix. */
enum MatrixLines: string
{
    case Rows = 'rows';
    case Columns = 'columns';
}
