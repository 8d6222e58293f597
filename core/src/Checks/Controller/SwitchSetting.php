<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Controller;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Kit\Facts;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Changes\Kit\SetSwitch;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** A controller that learns the kind of light from a switch or a jumper is set to its strip (the controller's instructions). */
final readonly class SwitchSetting extends RunCheck
{
    public function rules(): array
    {
        return [
            new Rule('setting', 'controller', 'switch or jumper of a controller is set to its strip', Rule::LEAFLET),
        ];
    }

    protected function run(JudgedRun $case): array
    {
        $controller = $case->controller;
        $strip = $case->strip;
        if (
            $controller === null ||
            $strip === null ||
            !$strip->switched() ||
            !$controller->setByHand() ||
            self::told($case, $strip)
        ) {
            return [];
        }
        $wants = $strip->colours();
        $set = $case->plan->controllers[(string) $case->run->controller]->setting;
        $id = $case->device($case->run->controller);
        if ($set === $wants || !in_array($wants, $controller->modes, true)) {
            return [];
        }
        $place = new FindingPlace(JobStage::Kit, $case->run->id);
        $how = $controller->setting !== '' ? ' ' . ucfirst($controller->setting) . '.' : '';
        $fix = [
            new Fix(
                sprintf('%s is set to %s', $id, Facts::way($wants)),
                SetSwitch::payload(controller: (string) $case->run->controller, setting: $wants),
            ),
        ];
        if ($set === null) {
            return [
                $this->rule('setting')->open(
                    place: $place,
                    title: "{$id}: set its {$controller->setBy} to " . Facts::way($wants),
                    detail: "Set it before power is switched on, then enter it here.{$how}",
                    source: 'the controller’s instructions, on the shelf',
                    fixes: $fix,
                ),
            ];
        }

        return [
            $this->rule('setting')->stop(
                place: $place,
                title: sprintf('%s is set to %s, the strip is %s', $id, Facts::way($set), Facts::way($wants)),
                detail: "Channels stay dark or follow the wrong colour.{$how}",
                source: 'the controller’s instructions, on the shelf',
                fixes: $fix,
            ),
        ];
    }

    /** Whether a run before it asks the same of the controller. */
    private static function told(JudgedRun $case, Strip $strip): bool
    {
        foreach ($case->underController() as $run) {
            if ($run->id === $case->run->id) {
                return false;
            }
            $of = $case->plan->strip($run->strip);
            if ($of?->switched() === true && $of->colours() === $strip->colours()) {
                return true;
            }
        }

        return false;
    }
}
