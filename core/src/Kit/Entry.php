<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

/** One thing on the kit shelf. Every kind is a class of its own. */
interface Entry
{
    public function id(): string;

    public function name(): string;
}
