<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Supply;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Kit\Strip;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** The supply's volts must be the strip's: most small controllers pass them straight through (common practice, no source). */
final readonly class SupplyVolts extends RunCheck
{
    public function rules(): array
    {
        return [
            new Rule(
                'supply-volts',
                'supply',
                'every supply of a run has the volts of its strip, within 0.5 V',
                Rule::PRACTICE,
            ),
        ];
    }

    protected function run(JudgedRun $case): array
    {
        $findings = [];
        $supplies = $case->plan->suppliesOf($case->run);
        foreach ($supplies as $id) {
            $supply = $case->plan->supply($id);
            if ($case->strip !== null && $supply !== null && !self::suits($supply, $case->strip)) {
                $findings[] = self::finding($case, $case->strip, $id, $supply, several: count($supplies) > 1);
            }
        }

        return $findings;
    }

    /** Within half a volt by their names. */
    public static function suits(Supply $supply, Strip $strip): bool
    {
        return abs($strip->volts - $supply->volts) < 0.5;
    }

    private static function finding(JudgedRun $case, Strip $strip, string $id, Supply $supply, bool $several): Finding
    {
        $right = $case->smallest(
            Supply::class,
            static fn(Supply $s): bool => self::suits($s, $strip) && Headroom::enough($case->plan, $s, $case->watts()),
            static fn(Supply $s): float => $s->ratedAmps,
        );

        return new Finding(
            code: 'supply-volts',
            severity: Severity::Stop,
            title: sprintf(
                '%s: %g V%s on a %g V strip',
                $case->run->name(),
                $supply->volts,
                $several ? ' of ' . strtoupper($id) : '',
                $strip->volts,
            ),
            detail: $supply->volts > $strip->volts
                ? 'The supply’s volts pass straight through: the strip overheats and fails. Do not switch it on.'
                : 'The strip stays dark or dim. Take a supply of the strip’s volts.',
            place: new Place('kit', $case->run->id),
            number: $supply->volts,
            limit: $strip->volts,
            source: Rule::PRACTICE,
            fixes: $right === null || $id !== $case->run->supply
                ? []
                : [new Fix('Take ' . $right->name(), ChooseKit::payload(run: $case->run->id, kit: $right->id()))],
        );
    }
}
