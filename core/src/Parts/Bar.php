<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/** One reel, length or offcut with its cuts, in millimetres. */
final readonly class Bar
{
    /**
     * @param  bool  $offcut  whether it is in the van already
     * @param  list<array{int, Piece}>  $pieces  mm and the piece that it is, or is a part of
     * @param  int  $left  mm that are left over
     */
    public function __construct(public int $length, public bool $offcut, public array $pieces, public int $left) {}
}
