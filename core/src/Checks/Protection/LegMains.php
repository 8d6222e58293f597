<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Protection;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Survey\Site\CableLeg;
use EmberDusk\Survey\Site\Outlet;
use EmberDusk\Survey\Site\Site;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** Existing legs that feed a strip: none of them may still be connected to mains. */
final readonly class LegMains extends Check
{
    public function rules(): array
    {
        return [
            new Rule(
                'leg-mains',
                'cable',
                'a leg that feeds a strip is disconnected from every outlet and spur',
                Rule::PRACTICE,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->plan->cables as $id => $cable) {
            $outlet = $cable->leg === '' ? null : self::outlet($job, $cable);
            if ($outlet !== null) {
                $name = strtoupper($id);
                $findings[] = $this->rule('leg-mains')->stop(
                    place: new FindingPlace(JobStage::Wire, $id),
                    title: "{$name} is leg {$cable->leg}, which is connected to mains at {$outlet}",
                    detail: 'Mains would be on the strip: it destroys it and can kill. ' .
                        'Prove the leg dead, disconnect it at both ends, then correct the notes. Mains work is for a licensed person; local codes decide.',
                );
            }
        }

        return $findings;
    }

    /** Name of the outlet or spur at which a cable's leg begins or ends; null where there is none. */
    private static function outlet(JudgedJob $job, LaidCable $cable): ?string
    {
        foreach ($job->plan->ways()->placesOf($cable) as $place) {
            $site = WallNotes::read($job->plan->places[$place]->notes ?? '')->site;
            $leg = $site->leg($cable->leg);
            if ($leg !== null) {
                return self::mains($site, $leg);
            }
        }

        return null;
    }

    private static function mains(Site $site, CableLeg $leg): ?string
    {
        $ends = [mb_strtolower($leg->from), mb_strtolower($leg->to ?? '')];
        $at = array_values(
            array_filter(
                array_map(static fn(Outlet $o): string => $o->spot->name, $site->outlets),
                static fn(string $name): bool => in_array(mb_strtolower($name), $ends, true),
            ),
        );

        return $at[0] ?? null;
    }
}
