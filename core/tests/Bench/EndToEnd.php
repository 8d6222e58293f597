<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\Faults\FaultBelief;
use EmberDusk\Bench\Faults\ReadingChooser;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpot;

/** The usual way: volts from the supply outwards, terminal after terminal, then pad after pad. */
final readonly class EndToEnd implements ReadingChooser
{
    public function next(FaultBelief $belief, array $readings): ?array
    {
        $spot = self::way($belief)[count($readings)] ?? null;

        return $spot === null ? null : [$spot, MeterCommand::full()];
    }

    /** @return list<MeterSpot> volts between + and the first return, from the supply outwards */
    public static function way(FaultBelief $belief): array
    {
        $way = [];
        foreach ($belief->predictions->spots as $spot) {
            $first = preg_match('/:(out:)?[2-6]$/', $spot->id) === 1 && !str_contains($spot->id, '-wire:2');
            if (
                $spot->unit === 'V' &&
                !$spot->fine &&
                !$first &&
                isset($belief->predictions->base["full {$spot->id}"])
            ) {
                $way[] = $spot;
            }
        }

        return $way;
    }
}
