<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

/** Corner of a matrix, as seen from the front. */
enum MatrixCorner: string
{
    case TopLeft = 'top left';
    case TopRight = 'top right';
    case BottomLeft = 'bottom left';
    case BottomRight = 'bottom right';

    public function top(): bool
    {
        return $this === self::TopLeft || $this === self::TopRight;
    }

    public function left(): bool
    {
        return $this === self::TopLeft || $this === self::BottomLeft;
    }
}
