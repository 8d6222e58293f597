<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/** A cut list: stock lengths with the pieces that are cut from each, in millimetres. */
final readonly class Cuts
{
    /**
     * @param  list<array{int, list<int>}>  $lengths  stock length and its pieces
     * @param  int  $bought  how many of them are bought
     * @param  bool  $proven  whether no fewer would do
     */
    public function __construct(public array $lengths, public int $bought, public bool $proven) {}
}
