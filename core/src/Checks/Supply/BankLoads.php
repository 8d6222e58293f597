<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Supply;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Kit\BatteryBlock;
use EmberDusk\Plan\Device;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Severity;

/** Banks: the current taken from them, straight and through converters, and lithium cells in series. */
final readonly class BankLoads extends Check
{
    public function rules(): array
    {
        return [
            new Rule(
                'bank-amps',
                'supply',
                'a bank gives at most a fifth of its ampere-hours as amps; beyond its ampere-hours the job stops',
                Rule::PRACTICE,
            ),
            new Rule('cells-series', 'supply', 'lithium cells in series have a protection board', Rule::PRACTICE),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->plan->supplies as $id => $unit) {
            $block = $job->plan->block($id);
            if ($block !== null) {
                array_push($findings, ...$this->amps($job, $unit), ...$this->cells($job, $unit, $block));
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function amps(JudgedJob $job, Device $unit): array
    {
        $bank = $job->plan->supply($unit->id);
        $amps = round($job->bankAmps($unit->id), 4);
        if ($bank === null || $amps <= round($bank->ratedAmps, 4)) {
            return [];
        }
        $hold = $job->plan->power()->ampHours($unit->id);

        return [
            $this->rule('bank-amps')->finding(
                severity: $amps > ($hold ?? INF) ? Severity::Stop : Severity::Watch,
                place: $job->placeOf($unit->id),
                title: sprintf(
                    '%s: %.1f A drawn, rated %.1f A continuous',
                    strtoupper($unit->id),
                    $amps,
                    $bank->ratedAmps,
                ),
                detail: ($hold === null
                    ? 'The faster a bank is emptied, the less it gives. '
                    : sprintf(
                        'At that current its %g Ah last less than five hours: the faster a bank is emptied, the less it gives. ',
                        $hold,
                    )) . 'Choose a larger bank, or less light.',
                number: $amps,
                limit: $bank->ratedAmps,
            ),
        ];
    }

    /** @return list<Finding> */
    private function cells(JudgedJob $job, Device $unit, BatteryBlock $block): array
    {
        if ($block->lead || $unit->series < 2 || $block->protected) {
            return [];
        }

        return [
            $this->rule('cells-series')->stop(
                place: $job->placeOf($unit->id),
                title: sprintf(
                    '%s: %d lithium cells in series without a protection board',
                    strtoupper($unit->id),
                    $unit->series,
                ),
                detail: 'The weakest cell is charged too far or emptied too deep; it can catch fire. ' .
                    'Use a pack with a protection board that monitors each cell.',
                number: (float) $unit->series,
                limit: 1.0,
            ),
        ];
    }
}
