<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Controller;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Checks\Rule;
use EmberDusk\Kit\Controller;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** A controller works inside its input range. */
final readonly class InputRange implements Check
{
    public function rules(): array
    {
        return [
            new Rule(
                'input-range',
                'controller',
                'the volts at a controller lie inside its input range',
                Rule::LEAFLET,
            ),
        ];
    }

    public function check(Judged $job): array
    {
        $findings = [];
        $seen = [];
        foreach ($job->runs() as $case) {
            $id = $case->run->controller;
            $controller = $case->controller;
            if ($id === null || $controller === null || isset($seen[$id]) || $case->strip?->switched() === false) {
                continue;
            }
            $seen[$id] = true;
            $root = $job->plan->root($job->plan->cableTo($id)->from ?? '') ?? $case->run->supply;
            $volts = $job->plan->supply($root)?->volts;
            if ($volts !== null && !self::takes($controller, $volts)) {
                $findings[] = new Finding(
                    code: 'input-range',
                    severity: Severity::Stop,
                    title: sprintf('%s does not take %g V', strtoupper($id), $volts),
                    detail: sprintf(
                        'Its input goes from %g V to %g V.',
                        $controller->inputLeast,
                        $controller->inputMost,
                    ),
                    place: new Place('kit', $case->run->id),
                    number: $volts,
                    limit: $volts < $controller->inputLeast ? $controller->inputLeast : $controller->inputMost,
                    source: Rule::LEAFLET,
                    fixes: $case->takeFittingController(),
                );
            }
        }

        return $findings;
    }

    public static function takes(Controller $controller, float $volts): bool
    {
        return $controller->inputLeast <= $volts && $volts <= $controller->inputMost;
    }
}
