<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Fixture;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Dimmer;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Kit\HangFixture;
use EmberDusk\Plan\Changes\Kit\SetSwitch;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\ControlLine;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** Rules of control lines: laid, not too long, not too thin; the module's switch on their method. */
final readonly class ControlLines extends Check
{
    /** Metres of a DALI bus (IEC 62386, from memory). */
    private const DALI_METRES = 300.0;

    /** Volts that a line may lose: DALI (IEC 62386, from memory); 0-10 V: a hundredth of its range (common practice, no source). */
    private const VOLTS = ['dali' => 2.0, '0-10 V' => 0.1];

    /** mm² of the thinnest core that is offered (common practice, no source). */
    private const THINNEST = 0.5;

    public function rules(): array
    {
        return [
            new Rule('line-open', 'fixture', '0-10 V and DALI fixtures have a control line', Rule::OWN),
            new Rule('dali-metres', 'module', 'a DALI line is at most 300 m long', 'IEC 62386, from memory'),
            new Rule('dali-drop', 'module', 'a DALI line loses at most 2 V', 'IEC 62386, from memory'),
            new Rule(
                'analog-drop',
                'module',
                'a 0-10 V line loses at most 0.1 V, a hundredth of its range',
                Rule::PRACTICE,
            ),
            new Rule('module-switch', 'module', 'the switch of a module is on its fixtures’ method', Rule::LEAFLET),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach (array_keys($job->plan->modules) as $id) {
            $line = ControlLine::of($job->plan, (string) $id);
            if ($line !== null) {
                array_push(
                    $findings,
                    ...$this->switched($job->plan, (string) $id, $line),
                    ...$this->line($job->plan, (string) $id, $line, $job->shelf),
                );
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function switched(Plan $plan, string $id, ControlLine $line): array
    {
        $dimmer = $plan->module($id);
        $set = $plan->modules[$id]->setting;
        if ($dimmer === null || $dimmer->setBy === '' || $set === $line->method) {
            return [];
        }
        $place = new FindingPlace(JobStage::Wire, (string) array_key_first($line->fixtures));
        $name = strtoupper($id);
        $how = $dimmer->setting === '' ? '' : ' ' . ucfirst($dimmer->setting) . '.';
        $method = Dimmer::says($line->method);
        $fixes = [new Fix("{$name} is set to {$method}", SetSwitch::payload(controller: $id, setting: $line->method))];
        if ($set === null) {
            return [
                $this->rule('module-switch')->open(
                    place: $place,
                    title: "{$name}: set its {$dimmer->setBy} to {$method}",
                    detail: "Set it before mains is switched on, then enter it here.{$how}",
                    source: 'the module’s instructions, on the shelf',
                    fixes: $fixes,
                ),
            ];
        }

        return [
            $this->rule('module-switch')->stop(
                place: $place,
                title: "{$name} is set to " . Dimmer::says($set) . ", its fixtures are dimmed by {$method}",
                detail: "They stay at full, stay dark, or do not follow.{$how}",
                source: 'the module’s instructions, on the shelf',
                fixes: $fixes,
            ),
        ];
    }

    /** @return list<Finding> */
    private function line(Plan $plan, string $id, ControlLine $line, ?ShelfSource $shelf): array
    {
        $findings = [];
        foreach (array_keys($line->fixtures) as $fixture) {
            $cable = $line->cableTo((string) $fixture);
            if ($cable === null) {
                $findings[] = $this->open($plan, $id, (string) $fixture, $shelf);

                continue;
            }
            array_push($findings, ...$this->lost($plan, (string) $fixture, $cable, $line, $shelf));
        }
        if ($line->method === Dimmer::DIMS['dali'] && $line->metres() > self::DALI_METRES) {
            $findings[] = $this->rule('dali-metres')->stop(
                place: new FindingPlace(JobStage::Wire, (string) array_key_first($line->fixtures)),
                title: sprintf('The DALI line of %s is %.0f m long', strtoupper($id), $line->metres()),
                detail: 'At most 300 m, all branches together. Divide the fixtures between two modules.',
                number: $line->metres(),
                limit: self::DALI_METRES,
            );
        }

        return $findings;
    }

    private function open(Plan $plan, string $id, string $fixture, ?ShelfSource $shelf): Finding
    {
        $kit = self::cable($plan, $shelf, INF);

        return $this->rule('line-open')->open(
            place: new FindingPlace(JobStage::Wire, $fixture),
            title: sprintf('%s: no control line from %s', strtoupper($fixture), strtoupper($id)),
            detail: 'Two cores beside mains. Where they share a duct or a box with mains, their insulation must be made for mains voltage.',
            fixes: $kit === null
                ? []
                : [
                    new Fix(
                        "Control line of {$kit->name()}",
                        HangFixture::payload(fixture: $fixture, on: $id, kit: $kit->id()),
                    ),
                ],
        );
    }

    /** @return list<Finding> */
    private function lost(Plan $plan, string $fixture, LaidCable $cable, ControlLine $line, ?ShelfSource $shelf): array
    {
        $most = self::VOLTS[$line->method];
        $lost = $line->drop($fixture, $plan->ways()->core($cable));
        if ($lost <= $most) {
            return [];
        }
        $thicker = self::cable(
            $plan,
            $shelf,
            (0.9 * $most * ($plan->cable($cable->kit)->conductor->ohmsPerMetre ?? 0.0)) / $lost,
        );
        $fixes =
            $thicker === null
                ? []
                : [
                    new Fix(
                        strtoupper($cable->id) . ' in ' . $thicker->conductor->label(),
                        SetCable::payload(cable: $cable->id, kit: $thicker->id()),
                    ),
                ];
        $place = new FindingPlace(JobStage::Wire, $fixture);
        $title = sprintf('%.2f V lost on the control line to %s', $lost, strtoupper($fixture));
        if ($line->method === Dimmer::DIMS['dali']) {
            return [
                $this->rule('dali-drop')->stop(
                    place: $place,
                    title: $title,
                    detail: 'At most 2 V while a device answers with all the current of the bus: its answers are lost.',
                    number: $lost,
                    limit: $most,
                    fixes: $fixes,
                ),
            ];
        }

        return [
            $this->rule('analog-drop')->watch(
                place: $place,
                title: $title,
                detail: 'At most 0.1 V: these fixtures would be brighter than others at the same level.',
                number: $lost,
                limit: $most,
                fixes: $fixes,
            ),
        ];
    }

    /** The thinnest cable of two cores on the shelf with at most so many ohms per metre; null where there is none. */
    private static function cable(Plan $plan, ?ShelfSource $shelf, float $ohms): ?Cable
    {
        $best = null;
        foreach ($shelf?->ofKind('cable') ?? [] as $snapshot) {
            $cable = $snapshot->entry;
            if (
                $cable instanceof Cable &&
                $cable->cores === 2 &&
                $cable->conductor->system === $plan->terms->wire &&
                $cable->conductor->area() >= self::THINNEST &&
                $cable->conductor->ohmsPerMetre <= $ohms &&
                ($best === null || $cable->conductor->area() < $best->conductor->area())
            ) {
                $best = $cable;
            }
        }

        return $best;
    }
}
