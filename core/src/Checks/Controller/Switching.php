<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Controller;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Strip;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** A controller that switches channels cannot drive pixels, a pixel board no channels, and neither a strip whose channels share the side that it switches. */
final readonly class Switching extends RunCheck
{
    public function rules(): array
    {
        return [
            new Rule(
                'controller-kind',
                'controller',
                'no controller that switches channels is chosen for pixels, and no pixel board for other strips',
                Rule::PRACTICE,
            ),
            new Rule(
                'switch-side',
                'controller',
                'a controller switches the side that the channels of its strip do not share',
                Rule::LEAFLET,
            ),
        ];
    }

    protected function run(JudgedRun $case): array
    {
        $board = $case->controller?->pixels !== null;
        if ($case->strip?->switched() === true && $board) {
            return [$this->channels($case)];
        }
        if ($case->strip?->switched() === true && $case->controller?->switches === $case->strip->common) {
            return [$this->side($case, $case->strip, $case->controller)];
        }
        if ($case->strip?->switched() !== false || $case->controller === null || $board) {
            return [];
        }

        return [
            $this->rule('controller-kind')->stop(
                place: new FindingPlace(JobStage::Kit, $case->run->id),
                title: "{$case->device($case->run->controller)} switches channels, {$case->run->name()} is of pixels",
                detail: 'Pixels take their colour from a data line and connect straight to the supply; a dimmed supply destroys or confuses them.',
                fixes: $case->chosenAgain(
                    "Leave {$case->device($case->run->controller)} out",
                    (string) $case->run->strip,
                ),
            ),
        ];
    }

    private function channels(JudgedRun $case): Finding
    {
        return $this->rule('controller-kind')->stop(
            place: new FindingPlace(JobStage::Kit, $case->run->id),
            title: "{$case->device($case->run->controller)} is a pixel board, {$case->run->name()} has channels",
            detail: 'A pixel board sends data and switches nothing: the strip stays dark or fully on. Choose a controller with its channels.',
            fixes: $case->takeFittingController(),
        );
    }

    private function side(JudgedRun $case, Strip $strip, Controller $controller): Finding
    {
        $other = $strip->common === 'plus' ? 'minus' : 'plus';

        return $this->rule('switch-side')->stop(
            place: new FindingPlace(JobStage::Kit, $case->run->id),
            title: "{$case->device(
                $case->run->controller,
            )} switches {$controller->switches}, {$case->run->name()} has a common {$strip->common}",
            detail: "Its channels cannot be dimmed apart, or are always on. Choose a controller that switches {$other}.",
            fixes: $case->takeFittingController(),
        );
    }
}
