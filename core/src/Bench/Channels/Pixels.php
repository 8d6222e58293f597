<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Channels;

/**
 * How pixels take the bytes of their data: in another order than the controller sends them, or three to a pixel where they take four
 * (or four where they take three), so that every pixel shows another colour.
 */
final readonly class Pixels
{
    /** Observation of different colours at neighbouring pixels, in addition to the sets of colours. */
    public const MANY = -1;

    /** @param  list<int>  $order  the colour that lights when the controller sends byte 0, 1 ... */
    public function __construct(public array $order, public bool $wrongKind = false) {}

    public function shows(int $commanded): int
    {
        if ($this->wrongKind) {
            return self::MANY;
        }

        return 1 << $this->order[$commanded];
    }
}
