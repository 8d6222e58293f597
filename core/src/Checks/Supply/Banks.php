<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Supply;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Circuit\BankDraw;
use EmberDusk\Kit\BatteryBlock;
use EmberDusk\Kit\Converter;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** Converters on their banks: whether there is one, its volts empty and on charge, the least load; blocks that are alike. */
final readonly class Banks extends Check
{
    public function rules(): array
    {
        return [
            new Rule('no-bank', 'supply', 'a converter is connected to a bank', Rule::OWN),
            new Rule(
                'converter-input',
                'supply',
                'the volts at a converter are in its input range, with the bank empty and on charge',
                Rule::LEAFLET,
            ),
            new Rule(
                'converter-least',
                'supply',
                'a converter gives at least its least load, in every scene that lights it',
                Rule::LEAFLET,
            ),
            new Rule('bank-tapped', 'supply', 'loads on a bank are connected across all its blocks', Rule::PRACTICE),
            new Rule('bank-other', 'supply', 'a bank has blocks of the surveyed volts', Rule::PRACTICE),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->plan->supplies as $id => $unit) {
            $converter = $job->plan->converter($id);
            if ($converter !== null) {
                array_push($findings, ...$this->converter($job, $unit, $converter));
            }
            $block = $job->plan->block($id);
            if ($block !== null) {
                array_push($findings, ...$this->other($job, $unit, $block), ...$this->tapped($job, $unit, $block));
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function converter(JudgedJob $job, Device $unit, Converter $converter): array
    {
        $name = strtoupper($unit->id);
        $bank = $job->plan->supply($unit->bank);
        if ($bank === null) {
            return [
                $this->rule('no-bank')->open(
                    place: new FindingPlace(JobStage::Kit, self::run($job, $unit->id)->id ?? ''),
                    title: "{$name}, a converter, is not connected to a bank",
                    detail: sprintf(
                        'Choose the blocks of its bank at Kit: it takes %g to %g V.',
                        $converter->inputLeast,
                        $converter->inputMost,
                    ),
                ),
            ];
        }

        return [...$this->input($job, $unit, $converter, $bank), ...$this->least($job, $unit, $converter)];
    }

    /** @return list<Finding> */
    private function input(JudgedJob $job, Device $unit, Converter $converter, Supply $bank): array
    {
        $draw = BankDraw::for($job->plan, $unit->id, $job->supply($unit->id)->watts());
        $empty = $bank->lowest ?? $bank->emf;
        // Nothing arrives of what the bank cannot give.
        $low = $draw === null ? $empty : $draw->arrives($empty) ?? 0.0;
        $high = $bank->charging ?? $bank->emf;
        if ($low >= $converter->inputLeast && $high <= $converter->inputMost) {
            return [];
        }
        $over = $high > $converter->inputMost;
        $run = self::run($job, $unit->id);
        $other = $job->smallest(
            Converter::class,
            static fn(Converter $c): bool => abs($c->volts - $converter->volts) < 0.5 &&
                $c->ratedAmps >= $converter->ratedAmps &&
                $c->inputLeast <= $low &&
                $high <= $c->inputMost,
            static fn(Converter $c): float => $c->ratedAmps,
        );

        if ($over) {
            $title = sprintf(
                '%s is charged at %.1f V, above the converter’s input range',
                strtoupper((string) $unit->bank),
                $high,
            );
        } else {
            $name = strtoupper($unit->id);
            $title =
                $low > 0
                    ? sprintf('Only %.1f V arrive at %s when its bank is empty', $low, $name)
                    : "Its bank cannot give {$name} its watts when it is empty";
        }
        $fixes =
            $other !== null && $run !== null
                ? [new Fix('Use ' . $other->name(), ChooseKit::payload(run: $run->id, kit: $other->id()))]
                : [];

        return [
            $this->rule('converter-input')->stop(
                place: new FindingPlace(JobStage::Kit, $run->id ?? ''),
                title: $title,
                detail: sprintf(
                    '%s takes %g to %g V. %s',
                    $converter->name(),
                    $converter->inputLeast,
                    $converter->inputMost,
                    $over ? 'It fails for good.' : 'Below that it switches off, or on and off without end.',
                ),
                number: $over ? $high : $low,
                limit: $over ? $converter->inputMost : $converter->inputLeast,
                fixes: $fixes,
            ),
        ];
    }

    /** @return list<Finding> */
    private function least(JudgedJob $job, Device $unit, Converter $converter): array
    {
        $least = $job->leastAmps($unit->id);
        if ($least === null || $least >= $converter->leastAmps) {
            return [];
        }
        $run = self::run($job, $unit->id);
        $other = $job->smallest(
            Converter::class,
            static fn(Converter $c): bool => abs($c->volts - $converter->volts) < 0.5 &&
                $c->leastAmps <= $least &&
                $c->ratedAmps >= $converter->ratedAmps &&
                $c->inputLeast <= $converter->inputLeast &&
                $c->inputMost >= $converter->inputMost,
            static fn(Converter $c): float => $c->ratedAmps,
        );

        $fixes =
            $other !== null && $run !== null
                ? [new Fix('Use ' . $other->name(), ChooseKit::payload(run: $run->id, kit: $other->id()))]
                : [];

        return [
            $this->rule('converter-least')->stop(
                place: new FindingPlace(JobStage::Kit, $run->id ?? ''),
                title: sprintf('%s delivers %.2f A, less than its minimum load', strtoupper($unit->id), $least),
                detail: sprintf(
                    '%s regulates from %g A on: below that its output voltage rises and harms the strip. Choose one without a ' .
                        'minimum load, or add a load that is always on.',
                    $converter->name(),
                    $converter->leastAmps,
                ),
                number: $least,
                limit: $converter->leastAmps,
                fixes: $fixes,
            ),
        ];
    }

    /** @return list<Finding> */
    private function other(JudgedJob $job, Device $unit, BatteryBlock $block): array
    {
        $place = $unit->stands->place ?? (self::run($job, $unit->id)->place ?? '');
        $batteries = WallNotes::read($job->plan->places[$place]->notes ?? '')->site->batteries;
        $volts = array_map(static fn($b): float => $b->blockVolts, $batteries);
        if ($volts === [] || array_filter($volts, static fn(float $v): bool => abs($v - $block->volts) < 1e-9) !== []) {
            return [];
        }

        return [
            $this->rule('bank-other')->stop(
                place: new FindingPlace(JobStage::Kit, self::run($job, $unit->id)->id ?? ''),
                title: sprintf(
                    '%s has blocks of %g V, the survey has %g V',
                    strtoupper($unit->id),
                    $block->volts,
                    $volts[0],
                ),
                detail: 'Blocks of different volts in one row are charged and drained unequally; the weakest ' .
                    'fails and may vent. Use equal blocks, or correct the notes.',
                number: $block->volts,
                limit: $volts[0],
            ),
        ];
    }

    /** @return list<Finding> where fewer blocks are used than the bank has; the volts wanted in the notes are reported at Survey */
    private function tapped(JudgedJob $job, Device $unit, BatteryBlock $block): array
    {
        foreach (
            WallNotes::read($job->plan->places[$unit->stands->place ?? '']->notes ?? '')->site->batteries
            as $battery
        ) {
            if (
                $battery->spot->name === $unit->stands?->spot &&
                $battery->wants === null &&
                abs($battery->blockVolts - $block->volts) < 1e-9 &&
                $unit->series < $battery->blocks
            ) {
                return [
                    $this->rule('bank-tapped')->watch(
                        place: new FindingPlace(JobStage::Kit, self::run($job, $unit->id)->id ?? ''),
                        title: sprintf(
                            '%s taps %d of %d blocks: that unbalances the bank',
                            strtoupper($unit->id),
                            $unit->series,
                            $battery->blocks,
                        ),
                        detail: 'The tapped blocks are drained more and charged no better. ' .
                            'Take the light from the whole bank through a converter, or move the tap round at each charge.',
                        number: (float) $unit->series,
                        limit: (float) $battery->blocks,
                    ),
                ];
            }
        }

        return [];
    }

    /** The first run fed by a unit. */
    private static function run(JudgedJob $job, string $unit): ?Run
    {
        foreach ($job->plan->runs as $run) {
            if (in_array($unit, $job->plan->ways()->unitsOf($run), true)) {
                return $run;
            }
        }

        return null;
    }
}
