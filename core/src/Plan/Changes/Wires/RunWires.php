<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

/** How a run is fed: at which pads, uncut or as halves, directly or from an existing leg. */
final readonly class RunWires
{
    /**
     * @param  list<TailWire>  $tails
     * @param  LegWire|null  $leg  whose first end the first tail goes from, and whose second the other
     */
    public function __construct(public string $run, public bool $halves, public array $tails, public ?LegWire $leg) {}

    /** @return array<string, mixed> */
    public function write(): array
    {
        $written = [
            'run' => $this->run,
            'halves' => $this->halves,
            'tails' => array_map(static fn(TailWire $t): array => $t->write(), $this->tails),
        ];
        if ($this->leg !== null) {
            $written['leg'] = $this->leg->write();
        }

        return $written;
    }
}
