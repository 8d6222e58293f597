<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Protection;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Survey\TapeNotes;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** Touchable d.c.: 60 V where it is dry, 30 V where it is damp (IEC 60364-4-41, from memory). The highest volts count. */
final readonly class Touch implements Check
{
    private const DRY = 60.0;

    private const DAMP = 30.0;

    public function check(Judged $case): array
    {
        $supply = $case->supply;
        if ($supply === null) {
            return [];
        }
        $damp = TapeNotes::read($case->plan->place($case->run->place)->notes)->site->damp ?? false;
        $limit = $damp ? self::DAMP : self::DRY;
        $volts = $supply->charging ?? $supply->emf;
        if ($volts <= $limit) {
            return [];
        }

        return [
            new Finding(
                code: 'touch',
                severity: Severity::Stop,
                title: sprintf('%s: %.1f V where people can touch it', $case->run->name(), $volts),
                detail: sprintf(
                    'In a %s place bare parts have at most %g V. Insulate every joint, or take lower volts; local codes decide.',
                    $damp ? 'damp' : 'dry',
                    $limit,
                ),
                place: new Place('kit', $case->run->id),
                number: $volts,
                limit: $limit,
                source: 'IEC 60364-4-41, from memory',
            ),
        ];
    }
}
