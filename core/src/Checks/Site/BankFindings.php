<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Site;

use EmberDusk\Checks\PlaceCheck;
use EmberDusk\Checks\Rule;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\Bank;
use EmberDusk\Kit\Converter;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Survey\Site\Battery;
use EmberDusk\Survey\Site\Site;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Input;
use EmberDusk\Values\JobStage;

/** Batteries: a tap at the wanted volts or a converter from the shelf, the effect of a tap on the bank, the usual caution. */
final readonly class BankFindings extends PlaceCheck
{
    public const CAUTION = 'A bank can short and burn: fuse within 0.18 m (7 in) of the tap, cover the posts, no soldering on a battery.';

    public function rules(): array
    {
        return [
            new Rule('bank-wants', 'place', 'the voltage needed from a battery is known', Rule::OWN),
            new Rule('bank-mixed', 'place', 'the blocks of a row are of the same volts', Rule::PRACTICE),
            new Rule('unbalanced', 'place', 'a tap does not unbalance a bank', Rule::PRACTICE),
            new Rule('no-tap', 'place', 'a bank has a tap at the volts that the light needs', Rule::PRACTICE),
        ];
    }

    protected function place(JobState $state, Place $place, Site $site): array
    {
        $plan = $state->plan;
        $findings = [];
        foreach ($site->batteries as $battery) {
            $bank = new Bank($battery);
            $at = new FindingPlace(JobStage::Survey, "{$place->id}:{$battery->spot->word->line}");
            $name = $battery->spot->name;
            if ($battery->mixed) {
                $findings[] = $this->rule('bank-mixed')->stop(
                    place: $at,
                    title: "Blocks of different volts in one row of {$name}",
                    detail: 'They are charged and drained unequally; the weakest fails and may vent. ' .
                        'Build the row from equal blocks of one age before you connect anything. ' .
                        self::CAUTION,
                );
            }
            if (self::converted($plan, $place, $name)) {
                continue;
            }
            $asks = $battery->wants === null;
            if ($asks && self::lit($plan, $place, $name, count($site->batteries) === 1)) {
                continue;
            }
            if ($asks) {
                $findings[] = $this->rule('bank-wants')->open(
                    place: $at,
                    title: "Choose the supply voltage for the lights on {$name}",
                    detail: 'Add it after the blocks, such as “, want 12 V”.',
                );
            } elseif ($bank->tap === null) {
                $findings[] = $this->converter($bank, $name, $at, $state->shelf);
            } elseif ($bank->unbalances()) {
                $findings[] = $this->rule('unbalanced')->watch(
                    place: $at,
                    title: "A tap across {$bank->tap} of {$battery->blocks} blocks unbalances {$name}",
                    detail: 'The tapped blocks are drained more and charged no better. Take the light from the whole bank ' .
                        'through a converter, or move the tap round at each charge. ' .
                        BankFindings::CAUTION,
                );
            }
        }

        return $findings;
    }

    /** Whether a strip is on the bank of that name: its volts are known, and judged with the strip. */
    private static function lit(Plan $plan, Place $place, string $name, bool $only): bool
    {
        foreach ($plan->runs as $run) {
            foreach ($run->strip === null ? [] : $plan->ways()->suppliesOf($run) as $supply) {
                $stands = $plan->supplies[$supply]->stands;
                $here = $stands === null ? $only && $run->place === $place->id : $stands->place === $place->id;
                if (
                    $plan->supply($supply)?->battery() === true &&
                    $here &&
                    ($stands === null || $stands->spot === $name)
                ) {
                    return true;
                }
            }
        }

        return false;
    }

    /** Whether the plan takes the light from the bank of that name through a converter. */
    private static function converted(Plan $plan, Place $place, string $name): bool
    {
        foreach ($plan->supplies as $unit) {
            $bank = $plan->supplies[$unit->bank ?? ''] ?? null;
            if ($bank !== null && $bank->stands?->place === $place->id && $bank->stands->spot === $name) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Figure> the bank at its three volts, between the tap and the minus when there is a tap */
    public static function figures(Battery $battery): array
    {
        $bank = new Bank($battery);
        $blocks = $bank->tap ?? $battery->blocks;
        $figures = [];
        foreach ($bank->volts($blocks)->states() as $state => $volts) {
            $figures[] = new Figure(
                label: ucfirst($state),
                value: $volts,
                unit: 'V',
                decimals: 1,
                formula: 'n * b * s / 12',
                inputs: [
                    new Input(
                        'n',
                        'blocks in series' . ($blocks < $battery->blocks ? ', up to the tap' : ''),
                        $blocks,
                        '',
                        path: 'notes: battery',
                    ),
                    new Input('b', 'one block by its name', $battery->blockVolts, 'V', path: 'notes: battery'),
                    new Input(
                        's',
                        'a 12 V bank then',
                        Bank::TWELVE[$state],
                        'V',
                        path: "the trade: a 12 V bank, {$state}",
                    ),
                ],
                assumption: 'Other banks in proportion to one of 12 V.',
                source: 'common practice, no source',
            );
        }

        return $figures;
    }

    private function converter(Bank $bank, string $name, FindingPlace $at, ShelfSource $shelf): Finding
    {
        $battery = $bank->battery;
        [$lowest, $charging] = [$bank->volts()->lowest, $bank->volts()->charging];
        $fits = array_filter(
            array_map(static fn($f) => $f->entry, $shelf->ofKind('converter')),
            static fn($e): bool => $e instanceof Converter && $bank->suits($e),
        );
        $first = reset($fits);
        if ($first instanceof Converter) {
            $found = sprintf(
                'On the shelf: %s, %g A, efficiency %g, least load %g A.',
                $first->name(),
                $first->ratedAmps,
                $first->efficiency,
                $first->leastAmps,
            );
        } else {
            $found = 'The shelf has none that takes it; add one.';
        }

        return $this->rule('no-tap')->watch(
            place: $at,
            title: sprintf('%s has no tap at %g V', $name, $battery->wants ?? 0),
            detail: sprintf(
                '%d blocks of %g V give %s V, never %g V. A converter must take %.1f to %.1f V. %s A plain series ' .
                    'dropper does not regulate at the low current of a strip.',
                $battery->blocks,
                $battery->blockVolts,
                implode(
                    ', ',
                    array_map(
                        static fn(int $n): string => sprintf('%g', $n * $battery->blockVolts),
                        range(1, $battery->blocks),
                    ),
                ),
                $battery->wants ?? 0,
                $lowest,
                $charging,
                $found,
            ),
        );
    }
}
