<?php

declare(strict_types=1);

namespace EmberDusk\Values;

use RuntimeException;

/** Input that cannot be used: what is wrong, where (a JSON Pointer or a word), and what was expected. */
final class Trouble extends RuntimeException
{
    public function __construct(string $message, public readonly string $pointer = '')
    {
        parent::__construct($message);
    }

    public static function at(string $pointer, string $message): self
    {
        return new self($message, $pointer);
    }
}
