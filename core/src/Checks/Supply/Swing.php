<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Supply;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Circuit\Loads\GroupLoad;
use EmberDusk\Kit\Converter;
use EmberDusk\Kit\Strip;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Plan\Limits;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** On a battery resistor-limited strip takes far more on charge than its label says; a regulator holds the volts (docs/model.md 4). */
final readonly class Swing extends RunCheck
{
    /** Factor on the nominal light that a strip endures continuously (common practice, no source). */
    private const MOST = 1.15;

    /** Share of the volts at a feed that the group beside it has at least. */
    private const BESIDE = 0.99;

    public function rules(): array
    {
        return [
            new Rule(
                'swing',
                'run',
                'on charge a strip draws at most 1.15 times its label',
                Rule::PRACTICE,
                binds: PlannerLimit::Bank,
            ),
        ];
    }

    /**
     * Whether strip straight on a bank draws too much on charge even behind cables that lose all they may: the planner leaves such taps out. Its first
     * group then has the least volts that the limits of the job allow.
     *
     * @param  float  $amps  by the labels of all strip on the bank
     */
    public static function certain(Limits $limits, Strip $strip, Supply $bank, float $amps): bool
    {
        if ($bank->charging === null) {
            return false;
        }
        $lost = $limits->drop * $strip->volts;
        $most = self::light($strip, $bank->charging);
        $inside = $bank->sourceOhms * ($most * $amps + $bank->ratedAmps);
        // Cables lose more with the current: that of the darkest group at rest is the least that it was measured against.
        $rise = $most / max(1e-6, $limits->evenness * self::light($strip, $bank->emf - $lost - $inside));

        return self::light($strip, self::BESIDE * ($bank->charging - $rise * $lost - $inside)) > self::MOST;
    }

    /** Light of a group with every channel on at so many volts, as a share of its nominal light. */
    private static function light(Strip $strip, float $volts): float
    {
        $amps = $nominal = 0.0;
        foreach ($strip->channels as $channel) {
            $load = GroupLoad::for($strip, $channel, 1.0);
            $amps += $load->evaluate([$volts])[0][0];
            $nominal += $load->nominalAmps();
        }

        return $amps / $nominal;
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
