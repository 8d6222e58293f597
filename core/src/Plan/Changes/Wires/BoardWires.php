<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

/** A pixel board for runs of one supply: a new one with its supply cable, or one of the plan that has outputs left. */
final readonly class BoardWires
{
    /**
     * @param  string  $kit  id of the shelf; of the plan’s board its id among the controllers
     * @param  list<string>  $runs  ids
     * @param  Wire|null  $wire  from the supply; null for a board of the plan
     */
    public function __construct(public string $kit, public string $where, public array $runs, public ?Wire $wire) {}

    /** @return array<string, mixed> */
    public function write(): array
    {
        return $this->wire === null
            ? ['unit' => $this->kit, 'runs' => $this->runs]
            : ['kit' => $this->kit, 'where' => $this->where, 'runs' => $this->runs, 'wire' => $this->wire->write()];
    }
}
