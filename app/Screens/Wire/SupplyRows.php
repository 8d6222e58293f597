<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use EmberDusk\Checks\Protection\LimitedPower;
use EmberDusk\Circuit\FixtureResult;
use EmberDusk\Circuit\RunFigures;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\Supply;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/** The job's supplies: average and peak, at full or in the scene that is looked at, and what their leaflets and the tables say. */
final readonly class SupplyRows
{
    /** @return list<array<string, mixed>> as in app/Screens/Wire/wire.json, $defs/supplyRow */
    public static function of(JobState $state): array
    {
        $rows = [];
        foreach ($state->plan->supplies as $id => $unit) {
            $supply = $state->plan->supply($id);
            if ($supply === null) {
                continue;
            }
            $amps = self::amps($state, $id);
            $rows[] = [
                'id' => $id,
                'name' => $supply->name(),
                'where' => $unit->where,
                'battery' => $supply->battery(),
                'series' => $unit->series,
                'parallel' => $unit->parallel,
                'average' => $amps === null ? null : self::figure($id, 'average', $amps[0], $supply)->toArray(),
                'peak' => $amps === null ? null : self::figure($id, 'peak', $amps[1], $supply)->toArray(),
                'runTime' =>
                    $amps === null || $supply->ampHours === null || $amps[0] <= 0
                        ? null
                        : self::runTime($supply, $amps[0])->toArray(),
                'notes' => self::notes($supply),
            ];
        }

        return $rows;
    }

    /** @return array{float, float}|null average and peak amps; null while nothing on it is solved */
    private static function amps(JobState $state, string $supply): ?array
    {
        foreach ($state->plan->runs as $run) {
            $result = $run->supply === $supply ? $state->shown($run->id) : null;
            if ($result instanceof RunResult) {
                return [$result->supplyAmps, $result->peakAmps ?? $result->supplyAmps];
            }
        }
        $amps = 0.0;
        foreach ($state->plan->fixtures as $id => $fitting) {
            $result = $state->fitting($id);
            $amps +=
                $result instanceof FixtureResult &&
                $state->plan->root($state->plan->cableTo($id)->from ?? '') === $supply
                    ? $result->amps
                    : 0.0;
        }
        if ($amps > 0) {
            return [$amps, $amps];
        }

        return null;
    }

    private static function figure(string $id, string $what, float $amps, Supply $supply): Figure
    {
        return new Figure(
            label: strtoupper($id) . " {$what}",
            value: $amps,
            unit: 'A',
            decimals: 2,
            formula: 'p / 100 * Ir',
            inputs: [
                new Input('p', 'share of the rating', (100 * $amps) / $supply->ratedAmps, '%'),
                new Input('Ir', 'rated amps', $supply->ratedAmps, 'A'),
            ],
            assumption: RunFigures::SOLVED .
                ' All controllers of an island start their period together: the worst case.',
        );
    }

    private static function runTime(Supply $battery, float $amps): Figure
    {
        return new Figure(
            label: 'Run time',
            value: ($battery->ampHours ?? 0.0) / $amps,
            unit: 'h',
            decimals: 1,
            formula: 'C / I',
            inputs: [
                new Input('C', 'what the bank holds', $battery->ampHours ?? 0.0, 'Ah'),
                new Input('I', 'amps on average', $amps, 'A'),
            ],
            assumption: 'From full to empty at a steady load; lead blocks last longer when only half of it is taken.',
            source: 'common practice, no source',
        );
    }

    /** @return list<string> */
    private static function notes(Supply $supply): array
    {
        return array_values(
            array_filter([
                $supply->battery()
                    ? 'Isolate the bank before any work; fuse at the tap; never solder to a cell.'
                    : LimitedPower::words($supply),
                $supply->inrushAmps === null
                    ? null
                    : sprintf(
                        'Takes %g A when it is switched on: count how many share one mains circuit.',
                        $supply->inrushAmps,
                    ),
                $supply->derateAbove === null
                    ? null
                    : sprintf('Carries less where the air around it is above %g °C.', $supply->derateAbove),
            ]),
        );
    }
}
