<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

/** One cable that is asked for: ids of the shelf, metres. */
final readonly class Wire
{
    public function __construct(
        public string $kit,
        public float $length,
        public ?string $fuse,
        public string $laid = '',
    ) {}

    /** @return array<string, mixed> */
    public function write(): array
    {
        return ['kit' => $this->kit, 'length' => $this->length, 'fuse' => $this->fuse];
    }
}
