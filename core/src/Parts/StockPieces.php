<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

use EmberDusk\Kit\KitSnapshot;

/** Pieces that are cut from one entry of the shelf. */
final readonly class StockPieces
{
    /**
     * @param  string  $group  of the parts list
     * @param  list<Piece>  $pieces
     */
    public function __construct(public KitSnapshot $kit, public string $group, public array $pieces) {}

    public function and(Piece $piece): self
    {
        return new self($this->kit, $this->group, [...$this->pieces, $piece]);
    }
}
