<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Protection;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** Touchable d.c.: 60 V where it is dry, 30 V where it is damp (IEC 60364-4-41, from memory), at the highest volts of a supply, its bank on charge included. */
final readonly class TouchVoltage extends RunCheck
{
    private const DRY = 60.0;

    private const DAMP = 30.0;

    public function rules(): array
    {
        return [
            new Rule(
                'touch',
                'supply',
                'touchable parts have at most 60 V d.c. in dry places, 30 V in damp places',
                'IEC 60364-4-41, from memory',
            ),
        ];
    }

    protected function run(JudgedRun $case): array
    {
        $damp = $case->plan->of($case->run)->damp();
        $limit = self::limit($damp);
        [$volts, $at] = [0.0, ''];
        foreach ($case->plan->ways()->unitsOf($case->run) as $id) {
            $supply = $case->plan->supply($id);
            $now = $supply->charging ?? ($supply->emf ?? 0.0);
            if ($now > $volts) {
                [$volts, $at] = [$now, $id];
            }
        }
        if ($volts <= $limit) {
            return [];
        }

        return [
            $this->rule('touch')->stop(
                place: new FindingPlace(JobStage::Kit, $case->run->id),
                title: sprintf(
                    '%s: %.1f V where people can touch it',
                    // The volts of a bank before a converter are not on the strip.
                    in_array($at, $case->plan->ways()->suppliesOf($case->run), true)
                        ? $case->run->name()
                        : strtoupper($at),
                    $volts,
                ),
                detail: sprintf(
                    'In a %s place bare parts have at most %g V. Insulate every joint, or take lower volts; local codes decide.',
                    $damp ? 'damp' : 'dry',
                    $limit,
                ),
                number: $volts,
                limit: $limit,
            ),
        ];
    }

    /** Volts d.c. that may be touched. */
    public static function limit(bool $damp): float
    {
        if ($damp) {
            return self::DAMP;
        }

        return self::DRY;
    }
}
