<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Values\InvalidInput;

/** A fault of one device, in its command-line form: KIND@DEVICE. */
final readonly class Flaw
{
    public function __construct(public string $code, public string $device) {}

    /** @throws InvalidInput */
    public static function read(string $text): self
    {
        if (preg_match('/^([a-z][a-z-]*)@([a-z][a-z0-9]*)$/', $text, $m) !== 1) {
            throw new InvalidInput(
                "“{$text}” is not a fault: write KIND@DEVICE, such as dead@c1; --fault=list prints all.",
            );
        }

        return new self($m[1], $m[2]);
    }

    public function key(): string
    {
        return "{$this->code}@{$this->device}";
    }
}
