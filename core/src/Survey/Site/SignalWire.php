<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

use EmberDusk\Survey\Clause;
use EmberDusk\Survey\SlipFound;
use EmberDusk\Survey\WallLengths;

/** A wire of a vehicle that is live for as long as its signal lasts; found once a meter has shown which one it is. */
final readonly class SignalWire
{
    public const NAMES = ['key', 'brake', 'left', 'right'];

    public function __construct(public NamedSpot $spot, public bool $found) {}

    /**
     * Reads `brake [where] [at LENGTH] {, found}`.
     *
     * @throws SlipFound
     */
    public static function read(Clause $clause, WallLengths $lengths, Walls $walls): self
    {
        $name = $clause->peek();
        $spot = NamedSpot::read($clause, $lengths, $walls);
        if (!in_array($spot->name, self::NAMES, true)) {
            throw new SlipFound($clause->slip($name, 'A signal is one of ' . implode(', ', self::NAMES) . '.'));
        }
        $found = false;
        while (($word = $clause->attribute()) !== null) {
            $found = $word->is('found') ? true : throw $clause->unknown($word, 'a signal', ['found']);
        }

        return new self($spot, $found);
    }
}
