<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** A value that is like another but for some of its fields: said once, so that a new field is carried along everywhere. */
trait Copies
{
    /** @param  mixed  ...$changed  by the names of the constructor's parameters */
    private function withChanged(mixed ...$changed): static
    {
        /** @phpstan-ignore argument.type (the constructor itself checks every field) */
        return new static(...[...get_object_vars($this), ...$changed]);
    }
}
