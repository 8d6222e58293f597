<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Checks\Controller\ControllerAmps;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Strip;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Requirement;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\Site\Site;
use EmberDusk\Survey\TapeNotes;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** What the surveyed site and the leaflets say about an option before anything is bought. */
final readonly class Cautions
{
    /** @return list<Finding> */
    public static function of(Plan $plan, Run $run, Requirement $requirement, Fulfilment $kit, Trial $trial): array
    {
        $site = TapeNotes::read($plan->places[$run->place]->notes ?? '')->site;
        $at = new Place('kit', $run->id);
        $findings = [
            ...self::site($site, $run, $kit, $at),
            ...self::settings($kit, $requirement, $at),
            ...self::cap($requirement, $trial, $kit, $at),
        ];
        $strip = $kit->strip->entry;
        $controller = $kit->controller->entry;
        if ($strip instanceof Strip && $controller instanceof Controller) {
            $findings[] = new Finding(
                code: 'carries',
                severity: Severity::Open,
                title: sprintf(
                    'Its controller carries %.1f m of this strip',
                    ControllerAmps::metres($strip, $controller),
                ),
                detail: sprintf(
                    '%g A a channel and %g A in all, at %g V. At half the volts it would be half the metres.',
                    $controller->channelAmps,
                    $controller->totalAmps,
                    $strip->volts,
                ),
                place: $at,
                source: 'common practice, no source',
            );
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function site(Site $site, Run $run, Fulfilment $kit, Place $at): array
    {
        $findings = [];
        $sealed = ($kit->strip->written['sealed'] ?? 'none') !== 'none';
        if (($site->damp === true || in_array('outdoors', $run->mounting, true)) && !$sealed) {
            $findings[] = new Finding(
                code: 'damp',
                severity: Severity::Watch,
                title: 'An open strip in a damp place',
                detail: 'Seal it or put it into a gasketed profile; sealed strips cost more and cool less.',
                place: $at,
                source: 'common practice, no source',
            );
        }
        $volts = $kit->supply->entry instanceof Supply ? $kit->supply->entry->volts : 0.0;
        if ($site->damp === true && $volts > 30) {
            $findings[] = new Finding(
                code: 'touch',
                severity: Severity::Stop,
                title: sprintf('%g V may not be touched in a damp place', $volts),
                detail: '30 V d.c. is the limit there.',
                place: $at,
                number: $volts,
                limit: 30,
                source: 'IEC 60364-4-41 (from memory); local rules decide',
            );
        }
        if ($site->batteries !== [] && $site->outlets === []) {
            $findings[] = new Finding(
                code: 'battery',
                severity: Severity::Watch,
                title: 'There is no mains here: the supply must be a converter on the bank',
                detail: 'A strip straight on a bank takes far more while it charges, 14.4 V instead of 12: a regulator holds it.',
                place: $at,
                source: 'common practice, no source',
            );
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function settings(Fulfilment $kit, Requirement $requirement, Place $at): array
    {
        $controller = $kit->controller->entry;
        if (!($controller instanceof Controller) || $controller->setBy === 'none') {
            return [];
        }

        return [
            new Finding(
                code: 'setting',
                severity: Severity::Open,
                title: match ($controller->setBy) {
                    'switch' => 'Set the switch before power',
                    'jumper' => 'Set the jumper before power',
                    default => 'The kind of light is chosen in the app',
                },
                detail: ucfirst($controller->setting) .
                    '. Here: ' .
                    \EmberDusk\Kit\Facts::way($requirement->colour) .
                    '. A wrong setting lights the wrong channels.',
                place: $at,
                source: 'the controller’s leaflet, on the shelf',
            ),
        ];
    }

    /** @return list<Finding> */
    private static function cap(Requirement $requirement, Trial $trial, Fulfilment $kit, Place $at): array
    {
        if ($requirement->cap >= 1) {
            return [];
        }
        $findings = [
            new Finding(
                code: 'cap',
                severity: Severity::Open,
                title: sprintf('A limit of %.0f %% must be set in the controller', 100 * $requirement->cap),
                detail: 'The supply is only large enough with it. It becomes a step, and a check: everything to white, and the supply’s amps read.',
                place: $at,
                source: 'common practice, no source',
            ),
        ];
        $peak = max([
            0.0,
            ...array_values(array_map(static fn(RunResult $r): float => $r->supplyAmps, $trial->results)),
        ]);
        $limit = $kit->supply->entry instanceof Supply ? $kit->supply->entry->limitAmps : INF;
        if ($peak > $limit - 0.05) {
            $findings[] = new Finding(
                code: 'peak',
                severity: Severity::Watch,
                title: sprintf('The peak stays at %.1f A', $peak),
                detail: sprintf(
                    'Dimming switches the full current on and off; the supply limits at %.1f A and may flicker or trip. ' .
                        'A limit by amps, or the first school, is safer.',
                    $limit,
                ),
                place: $at,
                number: $peak,
                limit: $limit,
                source: 'common practice, no source',
            );
        }

        return $findings;
    }
}
