<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

/** One thing on the kit shelf. Kinds that something is computed with are classes of their own; others are read as a {@see Thing}. */
interface Entry
{
    public function id(): string;

    public function name(): string;
}
