<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/** What is cut from a length: a piece, or a part of one. */
final readonly class CutPart
{
    /** May not be parted; may be and is not. */
    public const WHOLE = 0;

    public const UNCUT = 1;

    /**
     * @param  int  $length  in units of the stock
     * @param  int  $of  length of its piece
     * @param  int  $number  WHOLE, UNCUT or a number that the parts of one piece share
     */
    public function __construct(public int $length, public int $of, public int $number) {}

    public function shorter(int $kerf): self
    {
        return new self($this->length - $kerf, $this->of - $kerf, $this->number);
    }
}
