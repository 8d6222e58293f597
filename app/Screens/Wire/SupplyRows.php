<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Protection\LimitedPower;
use EmberDusk\Circuit\BankDraw;
use EmberDusk\Circuit\BankStates;
use EmberDusk\Circuit\RunFigures;
use EmberDusk\Circuit\SupplyResult;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\Supply;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;
use EmberDusk\Values\Refusal;

/** The job's supplies: average and peak, at full or in the scene that is looked at, and what their instructions and the tables say. */
final readonly class SupplyRows
{
    private function __construct(private JobState $state) {}

    /** @return list<SupplyRow> */
    public static function for(JobState $state): array
    {
        return (new self($state))->rows();
    }

    /** @return list<SupplyRow> */
    private function rows(): array
    {
        $rows = [];
        foreach ($this->state->plan->supplies as $id => $unit) {
            $supply = $this->state->plan->supply($id);
            if ($supply === null) {
                continue;
            }
            $given = $this->given($id);
            $average = null;
            $peak = null;
            if ($given !== null) {
                $average = self::figure($id, 'average', $given->amps, 'amps');
                $peak = self::figure($id, 'peak', $given->peakAmps, 'peakAmps');
            }
            $runTime = null;
            $standby = null;
            if ($this->state->plan->block($id) !== null) {
                $runTime = BankStates::runTime(
                    $this->state->plan,
                    $id,
                    BankStates::amps($this->state->plan, $id, $given),
                );
                $standby = BankStates::standby($this->state->plan, $id);
            }
            $rows[] = new SupplyRow(
                id: $id,
                name: $supply->name(),
                where: $unit->where(),
                battery: $supply->battery(),
                series: $unit->series,
                parallel: $unit->parallel,
                average: $average,
                peak: $peak,
                plate: $supply->battery() ? null : LimitedPower::figure($id, $supply),
                runTime: $runTime,
                standby: $standby,
                states: $this->states($id),
                bank: $unit->bank,
                draw: $this->draw($id),
                notes: self::notes($supply),
            );
        }

        return $rows;
    }

    /** Its output at full or in the selected scene; null if nothing on it is solved. */
    private function given(string $supply): ?SupplyResult
    {
        $results =
            $this->state->scene === null ? $this->state->results : $this->state->scenes[$this->state->scene] ?? [];
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
            assumption: RunFigures::SOLVED . ' Worst case: all controllers of a circuit start their period together.',
        );
    }

    /** @return list<BankState> its volts, amps and the darkest light, empty, at rest and on charge */
    private function states(string $id): array
    {
        if ($this->state->plan->block($id) === null) {
            return [];
        }
        try {
            return array_map(
                static fn(array $row): BankState => new BankState(
                    state: $row['state'],
                    volts: $row['volts'],
                    amps: $row['amps'],
                    darkest: $row['darkest'],
                ),
                BankStates::for($this->state->plan, $id),
            );
        } catch (Refusal) {
            // Unsolved circuits are among the open points.
            return [];
        }
    }

    private function draw(string $id): ?Figure
    {
        $bank = $this->state->plan->supply($this->state->plan->supplies[$id]->bank);
        $draw =
            $bank !== null
                ? BankDraw::for($this->state->plan, $id, JudgedJob::for($this->state)->supply($id)->watts())
                : null;

        if ($bank === null) {
            return null;
        }

        return $draw?->figure($bank->lowest ?? $bank->emf);
    }

    /** @return list<string> */
    private static function notes(Supply $supply): array
    {
        return array_values(
            array_filter([
                $supply->battery()
                    ? 'Isolate the bank before any work; fuse at the tap; no soldering on a battery.'
                    : null,
                $supply->inrushAmps === null
                    ? null
                    : sprintf('Inrush %g A: check how many share one mains circuit.', $supply->inrushAmps),
                $supply->derateAbove === null
                    ? null
                    : sprintf('Carries less where the air around it is above %g °C.', $supply->derateAbove),
            ]),
        );
    }
}
