<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

use EmberDusk\Survey\Clause;
use EmberDusk\Survey\SlipFound;
use EmberDusk\Survey\WallLengths;

/** Mains or vehicle power that exists: an outlet or a spur, its circuit, whether it is live only with the key, or cut by a wall switch. */
final readonly class Outlet
{
    public function __construct(
        public NamedSpot $spot,
        public bool $spur,
        public string $circuit,
        public bool $keyed,
        public bool $damp,
        public bool $switched = false,
    ) {}

    /**
     * Reads `P1 [where] [at LENGTH] {, circuit NAME | key | switched | damp}` after its keyword.
     *
     * @throws SlipFound
     */
    public static function read(Clause $clause, WallLengths $lengths, Walls $walls, bool $spur): self
    {
        $spot = NamedSpot::read($clause, $lengths, $walls);
        $circuit = '';
        $keyed = $damp = $switched = false;
        while (($word = $clause->attribute()) !== null) {
            if ($word->is('circuit')) {
                $circuit = NamedSpot::name($clause, 'the circuit’s name')->text;
            } elseif ($word->is('key')) {
                $keyed = true;
            } elseif ($word->is('switched')) {
                $switched = true;
            } elseif ($word->is('damp')) {
                $damp = true;
            } else {
                throw $clause->unknown($word, 'an outlet', ['circuit', 'key', 'switched', 'damp']);
            }
        }

        return new self(spot: $spot, spur: $spur, circuit: $circuit, keyed: $keyed, damp: $damp, switched: $switched);
    }
}
