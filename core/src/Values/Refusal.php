<?php

declare(strict_types=1);

namespace EmberDusk\Values;

use RuntimeException;

/** Something that cannot be done: what is wrong in words for whoever asked, and where. Its class says which kind of trouble it is. */
abstract class Refusal extends RuntimeException
{
    /** @param  string  $pointer  JSON Pointer or word into what was given; empty where there is no place to name */
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
