<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Written;

/** Kelvin between which a white can be set. */
final readonly class WhiteRange implements Written
{
    use WrittenRecord;

    public function __construct(public int $least, public int $most) {}
}
