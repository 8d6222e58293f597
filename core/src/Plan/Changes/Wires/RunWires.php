<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

/** How a run is fed: at which pads, whole or as halves cut apart, straight or from a leg that is there. */
final readonly class RunWires
{
    /**
     * @param  list<TailWire>  $tails
     * @param  Wire|null  $leg  its length is that of the lead to it
     */
    public function __construct(public string $run, public bool $halves, public array $tails, public ?Wire $leg) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $written = [
            'run' => $this->run,
            'halves' => $this->halves,
            'tails' => array_map(static fn(TailWire $t): array => $t->toArray(), $this->tails),
        ];
        if ($this->leg !== null) {
            $written['leg'] = [
                'kit' => $this->leg->kit,
                'lead' => $this->leg->length,
                'fuse' => $this->leg->fuse,
                'laid' => $this->leg->laid,
            ];
        }

        return $written;
    }
}
