<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/** One island as nodes and what joins them. Node 0 is the minus of its first supply. */
final class Network
{
    /** @var list<string> names by number */
    public array $nodes = ['0'];

    /** @var list<float> volts that a solution is looked for from */
    public array $guesses = [0.0];

    /** @var list<Resistor> */
    public array $resistors = [];

    /** @var list<SourceCurrent> */
    public array $sources = [];

    /** @var list<Draw> */
    public array $draws = [];

    /** @var list<FixtureGroup> */
    public array $points = [];

    /** @var list<Stretch> */
    public array $stretches = [];

    public function node(string $name, float $guess): int
    {
        $this->nodes[] = $name;
        $this->guesses[] = $guess;

        return count($this->nodes) - 1;
    }

    public function resistor(string $name, string $part, int $from, int $to, float $ohms): void
    {
        $this->resistors[] = new Resistor(name: $name, part: $part, from: $from, to: $to, ohms: $ohms);
    }
}
