<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Helpers;

use EmberDusk\Values\Figure;

/** A small circuit beside a board: its parts, figures and limits, connections in order, picture and netlist. */
final readonly class HelperCircuit
{
    /** Shown with every helper circuit. */
    public const CAUTION = 'Extra-low volts only, all supplies off. Never two supplies on a board: lift its supply lead before a data lead is put in.';

    /**
     * @param  list<string>  $parts
     * @param  list<Figure>  $figures
     * @param  list<string>  $stops  limits that are broken, in words; empty: none of those calculated
     * @param  list<string>  $leads  connections, in the order of wiring
     * @param  string  $netlist  for a SPICE simulator
     */
    public function __construct(
        public string $title,
        public array $parts,
        public array $figures,
        public array $stops,
        public array $leads,
        public string $svg,
        public string $netlist,
    ) {}

    /** Its parts and leads in one sentence each, for the log. */
    public function words(): string
    {
        return "{$this->title}: " . implode(', ', $this->parts) . '. ' . implode('; ', $this->leads) . '.';
    }
}
