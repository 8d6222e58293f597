<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Survey\Site\Battery;

/**
 * A battery bank at its lowest, nominal and charging volts, and whether a tap gives the volts that are wanted.
 *
 * A bank of 12 V is at 11.0, 12.6 and 14.4 V (common practice, no source); other banks in proportion.
 */
final readonly class Bank
{
    /** Volts of a bank of 12 V when it is empty, at rest and on charge. */
    public const TWELVE = ['lowest' => 11.0, 'nominal' => 12.6, 'charging' => 14.4];

    public const OF = 12.0;

    /** Blocks from the minus end that give the wanted volts; null when none do. */
    public ?int $tap;

    public function __construct(public Battery $battery)
    {
        $blocks = $battery->wants !== null ? $battery->wants / $battery->blockVolts : null;
        if ($blocks !== null && abs($blocks - round($blocks)) < 1e-9 && $blocks <= $battery->blocks) {
            $this->tap = (int) round($blocks);
        } else {
            $this->tap = null;
        }
    }

    /** A tap across part of the bank drains its blocks unevenly. */
    public function unbalances(): bool
    {
        return $this->tap !== null && $this->tap < $this->battery->blocks;
    }

    /** Between so many blocks. */
    public function volts(?int $blocks = null): BankVolts
    {
        $share = (($blocks ?? $this->battery->blocks) * $this->battery->blockVolts) / self::OF;

        return new BankVolts(...array_map(static fn(float $volts): float => $volts * $share, self::TWELVE));
    }

    /** Whether a converter accepts the bank's volts at all times and gives the wanted volts. */
    public function suits(Converter $converter): bool
    {
        $volts = $this->volts();

        return $this->battery->wants !== null &&
            abs($converter->volts - $this->battery->wants) < 1e-9 &&
            $converter->inputLeast <= $volts->lowest &&
            $volts->charging <= $converter->inputMost;
    }
}
