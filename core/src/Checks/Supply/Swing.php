<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Supply;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Kit\Converter;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** On a battery resistor-limited strip takes far more on charge than its label says; a regulator holds the volts (docs/model.md 4). */
final readonly class Swing extends RunCheck
{
    /** Factor on the nominal light that a strip endures continuously (common practice, no source). */
    private const MOST = 1.15;

    public function rules(): array
    {
        return [new Rule('swing', 'run', 'on charge a strip draws at most 1.15 times its label', Rule::PRACTICE)];
    }

    protected function run(JudgedRun $case): array
    {
        $supply = $case->supply;
        $result = $case->result;
        $most = max([0.0, ...$result->spread[1] ?? []]);
        if ($supply === null || $result === null || !$supply->battery() || $most <= self::MOST) {
            return [];
        }
        $named = $supply->volts;
        $regulator = $case->smallest(
            Converter::class,
            static fn(Converter $c): bool => abs($c->volts - $named) < 0.5 &&
                $c->inputLeast <= ($supply->lowest ?? $named) &&
                $c->inputMost >= ($supply->charging ?? $named) &&
                Headroom::enough(
                    $case->plan,
                    $c->supply(1, 1),
                    $case->job->supply((string) $case->run->supply)->nominalWatts,
                ),
            static fn(Converter $c): float => $c->ratedAmps,
        );

        $fixes = [];
        if ($regulator !== null) {
            $fixes = [
                new Fix('Use ' . $regulator->name(), ChooseKit::payload(run: $case->run->id, kit: $regulator->id())),
            ];
        }

        return [
            $this->rule('swing')->watch(
                place: new FindingPlace(JobStage::Kit, $case->run->id),
                title: sprintf('%s draws %.0f %% on charge', $case->run->name(), 100 * $most),
                detail: sprintf(
                    '%.1f V empty, %.1f V nominal, %.1f V on charge: the strip runs hot and ages. Use a regulator for %g V.',
                    $supply->lowest ?? $named,
                    $supply->emf,
                    $supply->charging ?? $named,
                    $named,
                ),
                number: $most,
                limit: self::MOST,
                fixes: $fixes,
            ),
        ];
    }
}
