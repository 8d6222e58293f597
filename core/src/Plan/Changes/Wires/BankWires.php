<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

/** The bank that a supply takes its power from, with the cable to a converter; without a cable the supply is the bank itself. */
final readonly class BankWires
{
    /**
     * @param  string|null  $unit  id of a bank of the plan; null for one that is only in the wall notes
     * @param  string  $spot  its name there; empty if its position is unknown
     */
    public function __construct(
        public ?string $unit,
        public string $kit,
        public int $series,
        public int $parallel,
        public string $place,
        public string $spot,
        public ?Wire $input,
    ) {}

    /** @return array<string, mixed> */
    public function write(): array
    {
        return array_filter(
            [
                'unit' => $this->unit,
                'kit' => $this->kit,
                'series' => $this->series,
                'parallel' => $this->parallel,
                'place' => $this->place,
                'spot' => $this->spot,
                'input' => $this->input?->write(),
            ],
            static fn(mixed $value): bool => $value !== null,
        );
    }
}
