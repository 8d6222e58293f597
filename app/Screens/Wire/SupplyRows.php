<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use EmberDusk\Checks\Protection\LimitedPower;
use EmberDusk\Circuit\RunFigures;
use EmberDusk\Circuit\SupplyResult;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\Supply;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;
use EmberDusk\Values\Refusal;

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
            $given = self::given($state, $id);
            $rows[] = [
                'id' => $id,
                'name' => $supply->name(),
                'where' => $unit->where(),
                'battery' => $supply->battery(),
                'series' => $unit->series,
                'parallel' => $unit->parallel,
                'average' => $given === null ? null : self::figure($id, 'average', $given->amps, 'amps')->toArray(),
                'peak' => $given === null ? null : self::figure($id, 'peak', $given->peakAmps, 'peakAmps')->toArray(),
                'runTime' =>
                    $given === null || $supply->ampHours === null || $given->amps <= 0
                        ? null
                        : self::runTime($id, $supply, $given->amps)->toArray(),
                'notes' => self::notes($supply),
            ];
        }

        return $rows;
    }

    /** What it gives at full or in the scene that is looked at; null while nothing on it is solved. */
    private static function given(JobState $state, string $supply): ?SupplyResult
    {
        $results = $state->scene === null ? $state->results : $state->scenes[$state->scene] ?? [];
        foreach ($results as $result) {
            if (!($result instanceof Refusal) && isset($result->supplies[$supply])) {
                return $result->supplies[$supply];
            }
        }

        return null;
    }

    private static function figure(string $id, string $what, float $amps, string $field): Figure
    {
        return new Figure(
            label: strtoupper($id) . " {$what}",
            value: $amps,
            unit: 'A',
            decimals: 2,
            formula: 'I',
            inputs: [new Input('I', "amps, {$what}", $amps, 'A', path: "solver.supplies.{$id}.{$field}")],
            assumption: RunFigures::SOLVED .
                ' All controllers of an island start their period together: the worst case.',
        );
    }

    private static function runTime(string $id, Supply $battery, float $amps): Figure
    {
        return new Figure(
            label: 'Run time',
            value: ($battery->ampHours ?? 0.0) / $amps,
            unit: 'h',
            decimals: 1,
            formula: 'C / I',
            inputs: [
                new Input('C', 'what the bank holds', $battery->ampHours ?? 0.0, 'Ah', path: "shelf.{$id}.ampHours"),
                new Input('I', 'amps on average', $amps, 'A', path: "solver.supplies.{$id}.amps"),
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
