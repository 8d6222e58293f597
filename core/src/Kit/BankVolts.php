<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

/** Volts of a bank when it is empty, at rest and on charge. */
final readonly class BankVolts
{
    public function __construct(public float $lowest, public float $nominal, public float $charging) {}

    /** @return array<string, float> by state, as in {@see Bank::TWELVE} */
    public function states(): array
    {
        return ['lowest' => $this->lowest, 'nominal' => $this->nominal, 'charging' => $this->charging];
    }
}
