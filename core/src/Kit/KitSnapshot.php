<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

/** A frozen copy of a shelf entry: as written on the shelf that day, as read, and its content hash. */
final readonly class KitSnapshot
{
    /** @param  array<array-key, mixed>  $written */
    public function __construct(public string $hash, public array $written, public Entry $entry) {}

    /** Its kind, as the shelf names it. */
    public function kind(): string
    {
        if (is_string($this->written['kind'] ?? null)) {
            return $this->written['kind'];
        }

        return '';
    }
}
