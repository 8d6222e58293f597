<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Supply;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** Dimming switches the full current: where a limit is counted on, the peak still has to be given (docs/model.md 3). */
final readonly class Peak extends Check
{
    /** Share of its limit from which a supply gives way: the knee is soft (docs/model.md 4). */
    private const KNEE = 0.99;

    public function rules(): array
    {
        return [
            new Rule(
                'peak',
                'supply',
                'a supply sized for a limit gives the full current in the on-time',
                Rule::PRACTICE,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->runs() as $case) {
            $id = (string) $case->run->supply;
            $supply = $case->supply;
            $peak = round($job->result($case->run->id)?->supplies[$id]->peakAmps ?? 0.0, 4);
            if (
                $supply === null ||
                $case->run->cap >= 1 ||
                $case->strip?->switched() !== true ||
                $peak <= self::KNEE * $supply->limitAmps
            ) {
                continue;
            }
            $findings[$id] = $this->rule('peak')->watch(
                place: new FindingPlace(JobStage::Kit, $case->run->id),
                title: sprintf('%s peak %.1f A', strtoupper($id), $peak),
                detail: sprintf(
                    'Dimming switches the full current on and off; the supply limits at %.1f A and may flicker or trip. ' .
                        'A limit by amps, or a supply for everything at full, is safer.',
                    $supply->limitAmps,
                ),
                number: $peak,
                limit: self::KNEE * $supply->limitAmps,
            );
        }

        return array_values($findings);
    }
}
