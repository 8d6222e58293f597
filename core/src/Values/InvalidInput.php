<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** What was given cannot be used: a slip in a file, a value out of range, an id that nothing has. */
final class InvalidInput extends Refusal
{
    /** Something is named that is not there. */
    public static function unknown(string $pointer, string $what, ?string $id): self
    {
        return new self("The job has no {$what} “{$id}”.", $pointer, $id);
    }
}
