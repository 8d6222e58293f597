<?php

declare(strict_types=1);

namespace EmberDusk\Formats\Record;

/** Writing of a readonly class, derived from its constructor; {@see Record} reads as well. */
trait WrittenRecord
{
    /** @return array<string, mixed> */
    public function write(): array
    {
        return Shape::for(self::class)->write($this);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return $this->write();
    }
}
