<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/** A piece to cut: its length, its purpose, and whether it may be joined from several. */
final readonly class Piece
{
    /**
     * @param  float  $mm  from cut mark to cut mark
     * @param  string  $run  id
     * @param  string  $joints  of Assembly::JOINTS
     */
    public function __construct(
        public float $mm,
        public string $what,
        public string $run = '',
        public string $joints = 'needed',
    ) {}
}
