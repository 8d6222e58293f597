<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Supply;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Strip;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** The supply's volts must be the strip's: most small controllers pass them straight through (common practice, no source). */
final readonly class SupplyVolts extends RunCheck
{
    /** Volts by which supply and strip may differ by their names. */
    private const WITHIN = 0.5;

    public function rules(): array
    {
        return [
            new Rule(
                'supply-volts',
                'supply',
                'every supply of a run has the volts of its strip, within 0.5 V',
                Rule::PRACTICE,
            ),
            new Rule(
                'cell-dim',
                'supply',
                'pixels on a cell below their nominal volts are dim, and dimmer as it empties',
                Rule::PRACTICE,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        return [...parent::check($job), ...$this->modules($job)];
    }

    /** @return list<Finding> about modules that the client rearranges, on a supply of other volts */
    private function modules(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->plan->items as $id => $item) {
            $kit = $job->plan->kit[$item->kit];
            $supply = $job->plan->supply($item->on);
            if ($kit->kind() !== 'rearranged' || $supply === null) {
                continue;
            }
            $volts = (new Fields($kit->written))->number('volts');
            if (abs($supply->volts - $volts) >= self::WITHIN) {
                $findings[] = $this->rule('supply-volts')->stop(
                    place: new FindingPlace(JobStage::Kit, $id),
                    title: sprintf('%s: %g V on %g V modules', $kit->entry->name(), $supply->volts, $volts),
                    detail: $supply->volts > $volts
                        ? 'They overheat and fail. Do not switch it on. Choose a supply of their volts.'
                        : 'They stay dark or dim. Choose a supply of their volts.',
                    number: $supply->volts,
                    limit: $volts,
                );
            }
        }

        return $findings;
    }

    protected function run(JudgedRun $case): array
    {
        $findings = [];
        $supplies = $case->plan->ways()->suppliesOf($case->run);
        foreach ($supplies as $id) {
            $supply = $case->plan->supply($id);
            if ($case->strip !== null && $supply !== null && self::dims($supply, $case->strip)) {
                $findings[] = $this->dim($case, $case->strip, $supply);
            } elseif ($case->strip !== null && $supply !== null && !self::suits($supply, $case->strip)) {
                $findings[] = $this->finding($case, $case->strip, $id, $supply, several: count($supplies) > 1);
            }
        }

        return $findings;
    }

    /** Within half a volt by their names. */
    public static function suits(Supply $supply, Strip $strip): bool
    {
        return abs($strip->volts - $supply->volts) < self::WITHIN;
    }

    /** A battery below the strip's volts that still turns its pixels on when it is empty. */
    private static function dims(Supply $supply, Strip $strip): bool
    {
        return $strip->pixels !== null &&
            $supply->lowest !== null &&
            ($supply->charging ?? $supply->volts) < $strip->volts &&
            $supply->lowest > $strip->pixels->turnOn;
    }

    private function dim(JudgedRun $case, Strip $strip, Supply $supply): Finding
    {
        $at = array_map(static fn(array $light): float => min($light ?: [0.0]), $case->result->spread ?? [[], []]);

        return $this->rule('cell-dim')->watch(
            place: new FindingPlace(JobStage::Kit, $case->run->id),
            title: sprintf(
                '%s: dim on %g to %g V',
                $case->run->name(),
                $supply->lowest ?? 0.0,
                $supply->charging ?? 0.0,
            ),
            detail: sprintf(
                'A %g V strip on a single cell%s. Its charger must stop by itself; never solder to the cell.',
                $strip->volts,
                $case->result === null
                    ? ''
                    : sprintf(
                        ': %.2f of full when it is full, %.2f when it is empty, at the darkest pixel',
                        $at[1],
                        $at[0],
                    ),
            ),
            number: $supply->charging,
            limit: $strip->volts,
        );
    }

    private function finding(JudgedRun $case, Strip $strip, string $id, Supply $supply, bool $several): Finding
    {
        $right = $case->smallest(
            Supply::class,
            static fn(Supply $s): bool => self::suits($s, $strip) && Headroom::enough($case->plan, $s, $case->watts()),
            static fn(Supply $s): float => $s->ratedAmps,
        );

        $detail =
            $supply->volts > $strip->volts
                ? 'The supply’s volts pass straight through: the strip overheats and fails. Do not switch it on.'
                : 'The strip stays dark or dim. Take a supply of the strip’s volts.';
        $fixes =
            $right !== null && $id === $case->run->supply
                ? [new Fix('Use ' . $right->name(), ChooseKit::payload(run: $case->run->id, kit: $right->id()))]
                : [];

        return $this->rule('supply-volts')->stop(
            place: new FindingPlace(JobStage::Kit, $case->run->id),
            title: sprintf(
                '%s: %g V%s on a %g V strip',
                $case->run->name(),
                $supply->volts,
                $several ? ' of ' . strtoupper($id) : '',
                $strip->volts,
            ),
            detail: $detail,
            number: $supply->volts,
            limit: $strip->volts,
            fixes: $fixes,
        );
    }
}
