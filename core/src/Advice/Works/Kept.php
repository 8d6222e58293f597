<?php

declare(strict_types=1);

namespace EmberDusk\Advice\Works;

/** What was made once for a piece of work. */
final class Kept
{
    public ?Worksheet $worksheet = null;
}
