<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Kit;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use EmberDusk\Kit\Control;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Kit\SetItem;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** A light that no remote, panel, phone or assistant of the job works. Zigbee lights without a hub have a rule of their own ({@see HubAsked}). */
final readonly class NoControl extends Check
{
    public function rules(): array
    {
        return [
            new Rule(
                'no-control',
                'controller',
                'a remote, a panel, a phone or an assistant works every light',
                Rule::PRACTICE,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $roster = RosterOfPlan::for($job->plan, new TimingMethod());
        $worked = array_fill_keys(array_map(static fn(ControlledLight $w): string => $w->light, $roster->wants), true);
        $other = array_fill_keys(HubAsked::uncontrolled($job->plan), true);
        $findings = [];
        foreach ($roster->units as $unit) {
            if (!$unit->lights() || isset($worked[$unit->id]) || isset($other[$unit->id])) {
                continue;
            }
            $findings[] = $this->rule('no-control')->open(
                place: new FindingPlace(JobStage::Kit, $unit->item),
                title: "{$unit->label()}: nothing works this light",
                detail: 'Add the remote, panel or hub that belongs to it, so that it is bought, joined and handed over.',
                fixes: $job->shelf === null ? [] : self::remotes($job->shelf, $unit),
            );
        }

        return $findings;
    }

    /** @return list<Fix> the first remote of the shelf that speaks its way and sets its light */
    private static function remotes(ShelfSource $shelf, Unit $unit): array
    {
        foreach ([$unit->kind, 'single'] as $colour) {
            foreach ($shelf->ofKind('remote') as $kit) {
                if (
                    $kit->entry instanceof Control &&
                    in_array($unit->way, $kit->entry->speaks, true) &&
                    in_array($colour, $kit->entry->sets, true)
                ) {
                    return [
                        new Fix(
                            "Add {$kit->entry->name()}",
                            SetItem::payload(kit: $kit->entry->id(), place: $unit->place, count: 1),
                        ),
                    ];
                }
            }
        }

        return [];
    }
}
