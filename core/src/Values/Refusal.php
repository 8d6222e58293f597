<?php

declare(strict_types=1);

namespace EmberDusk\Values;

use RuntimeException;

/** An action that is not possible: the reason for the user, and the place. Its class gives the kind of trouble. */
abstract class Refusal extends RuntimeException
{
    /** @param  string  $pointer JSON Pointer or word in the input; empty without a place */
    final public function __construct(
        string $message,
        public readonly string $pointer = '',
        public readonly mixed $value = null,
    ) {
        parent::__construct($message);
    }

    /** @param  mixed  $value  the offending one, where there is one */
    public static function at(string $pointer, string $message, mixed $value = null): static
    {
        return new static($message, $pointer, $value);
    }
}
