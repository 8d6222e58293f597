<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** Invalid input: an error in a file, a value out of range, an unknown id. */
final class InvalidInput extends Refusal
{
    /** Something is named that is not there. */
    public static function unknown(string $pointer, string $what, ?string $id): self
    {
        return new self("The job has no {$what} “{$id}”.", $pointer, $id);
    }
}
