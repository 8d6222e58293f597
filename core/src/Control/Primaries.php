<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Circuit\Colour;
use EmberDusk\Values\InvalidInput;

/** Shares of three lights that together give a colour (Grassmann's law of mixing, solved by Cramer's rule). */
final readonly class Primaries
{
    private float $whole;

    /** @throws InvalidInput where two of them are one colour */
    public function __construct(private Colour $first, private Colour $second, private Colour $third)
    {
        $this->whole = self::determinant($first, $second, $third);
        if (abs($this->whole) < 1e-12) {
            throw new InvalidInput('Two channels of this light have the same colour: no colour can be mixed of them.');
        }
    }

    /** @return array{float, float, float} below 0 where the colour is outside of them */
    public function shares(Colour $wanted): array
    {
        return [
            self::determinant($wanted, $this->second, $this->third) / $this->whole,
            self::determinant($this->first, $wanted, $this->third) / $this->whole,
            self::determinant($this->first, $this->second, $wanted) / $this->whole,
        ];
    }

    private static function determinant(Colour $a, Colour $b, Colour $c): float
    {
        return $a->x * ($b->y * $c->z - $b->z * $c->y) -
            $b->x * ($a->y * $c->z - $a->z * $c->y) +
            $c->x * ($a->y * $b->z - $a->z * $b->y);
    }
}
