<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

use RuntimeException;

/** Leaves the reading of a clause at its first slip. */
final class SlipFound extends RuntimeException
{
    public function __construct(public readonly Slip $slip)
    {
        parent::__construct($slip->message);
    }
}
