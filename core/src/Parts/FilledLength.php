<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/** A stock length with the parts cut from it, in units of the stock. */
final readonly class FilledLength
{
    /** @param  list<CutPart>  $parts */
    public function __construct(public int $length, public array $parts) {}

    /** Without one kerf on top of the length and of each part. */
    public function shorter(int $kerf): self
    {
        return new self(
            $this->length - $kerf,
            array_map(static fn(CutPart $p): CutPart => $p->shorter($kerf), $this->parts),
        );
    }
}
