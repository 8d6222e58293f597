<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/** Pieces put into a length, and the room that they leave. */
final readonly class CutWay
{
    /** @param  list<CutPart>  $parts */
    public function __construct(public int $room, public array $parts) {}
}
