<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Order;

/** How far an order has come: done tasks, position of the hands and powered devices. */
final readonly class OrderState
{
    /**
     * @param  string  $done  a 1 for each task that is done
     * @param  array<string, true>  $powered  by id, in order
     * @param  list<list<int>>  $way  the moves so far
     */
    public function __construct(
        public int $seconds,
        public string $done,
        public string $place,
        public array $powered,
        public array $way,
    ) {}

    public function key(): string
    {
        return "{$this->done} {$this->place} " . implode(',', array_keys($this->powered));
    }

    public function after(JoinMove $move, string $done): self
    {
        $powered = $move->cost->powered;
        ksort($powered);

        return new self($this->seconds + $move->cost->seconds, $done, $move->cost->place, $powered, [
            ...$this->way,
            $move->numbers,
        ]);
    }
}
