<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

/** A controller with its trunk and its runs; without a controller, runs straight on the supply. */
final readonly class BlockWires
{
    /** @param  list<RunWires>  $runs */
    public function __construct(public ?string $kit, public string $where, public array $runs, public ?Wire $trunk) {}

    /** @return array<string, mixed> */
    public function write(): array
    {
        $written = [
            'kit' => $this->kit,
            'where' => $this->where,
            'runs' => array_map(static fn(RunWires $r): array => $r->write(), $this->runs),
        ];
        if ($this->trunk !== null) {
            $written['trunk'] = $this->trunk->write();
        }

        return $written;
    }
}
