<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Controller;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Supply;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Severity;

/** A controller works inside its input range. */
final readonly class InputRange extends Check
{
    public function rules(): array
    {
        return [
            new Rule(
                'input-range',
                'controller',
                'the volts at a controller are inside its input range, on a bank also on charge and nearly empty',
                Rule::LEAFLET,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        $seen = [];
        foreach ($job->runs() as $case) {
            $id = $case->run->controller;
            $controller = $case->controller;
            if ($id === null || $controller === null || isset($seen[$id])) {
                continue;
            }
            $seen[$id] = true;
            if ($case->strip?->switched() === false && $controller->pixels === null) {
                continue;
            }
            $root = $job->plan->ways()->root($job->plan->ways()->cableTo($id)->from ?? '') ?? $case->run->supply;
            $supply = $job->plan->supply($root);
            if ($supply === null) {
                continue;
            }
            [$volts, $when] = self::worst($controller, $supply);
            if (!self::takes($controller, $volts)) {
                $findings[] = $this->rule('input-range')->finding(
                    severity: $when === 'when its bank is nearly empty' ? Severity::Watch : Severity::Stop,
                    place: new FindingPlace(JobStage::Kit, $case->run->id),
                    title: rtrim(sprintf('%s is not rated for %g V %s', strtoupper($id), $volts, $when)),
                    detail: sprintf(
                        'Its input range is %g V to %g V.',
                        $controller->inputLeast,
                        $controller->inputMost,
                    ),
                    number: $volts,
                    limit: $volts < $controller->inputLeast ? $controller->inputLeast : $controller->inputMost,
                    fixes: $case->takeFittingController(),
                );
            }
        }

        return $findings;
    }

    /** @return array{float, string} the volts that fit least: by name, of a bank also on charge and nearly empty; and when that is */
    private static function worst(Controller $controller, Supply $supply): array
    {
        if (!self::takes($controller, $supply->volts)) {
            return [$supply->volts, ''];
        }
        if (($supply->charging ?? 0.0) > $controller->inputMost) {
            return [(float) $supply->charging, 'while its bank is charged'];
        }
        if (($supply->lowest ?? INF) < $controller->inputLeast) {
            return [(float) $supply->lowest, 'when its bank is nearly empty'];
        }

        return [$supply->volts, ''];
    }

    /** Whether a controller is rated for the volts of a supply, of a bank also on charge and nearly empty. */
    public static function suits(Controller $controller, Supply $supply): bool
    {
        return self::takes($controller, $supply->volts) &&
            ($supply->charging ?? 0.0) <= $controller->inputMost &&
            ($supply->lowest ?? INF) >= $controller->inputLeast;
    }

    public static function takes(Controller $controller, float $volts): bool
    {
        return $controller->inputLeast <= $volts && $volts <= $controller->inputMost;
    }
}
