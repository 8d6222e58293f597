<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

/** A supply that is asked for, its place and the runs that it feeds. */
final readonly class SupplyWires
{
    /**
     * @param  list<BlockWires>  $blocks
     * @param  BankWires|null  $bank  of a converter, or the supply itself
     * @param  list<BoardWires>  $boards  of runs of pixels that have none yet
     */
    public function __construct(
        public string $kit,
        public string $where,
        public array $blocks,
        public ?BankWires $bank = null,
        public array $boards = [],
    ) {}

    /** @return array<string, mixed> */
    public function write(): array
    {
        return [
            'kit' => $this->kit,
            'where' => $this->where,
            'blocks' => array_map(static fn(BlockWires $b): array => $b->write(), $this->blocks),
            ...$this->bank === null ? [] : ['bank' => $this->bank->write()],
            ...$this->boards === []
                ? []
                : ['boards' => array_map(static fn(BoardWires $b): array => $b->write(), $this->boards)],
        ];
    }
}
