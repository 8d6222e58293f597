<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Costing\Prices;
use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Facts;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Kit\Thing;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Requirement;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;
use EmberDusk\Values\NoSolution;
use EmberDusk\Values\Refusal;

/** The ready-made set: what its box says. Of its light along the run the box says nothing, so nothing is computed. */
final readonly class SetCard
{
    /** Minutes a metre of strip, hours for the plugs (common practice, no source). */
    private const METRE = 5.0;

    private const PLUGGING = 0.5;

    /** @throws Refusal when no set is long enough */
    public static function of(Plan $plan, Run $run, Requirement $requirement, ShelfSource $shelf): OptionCard
    {
        $best =
            (new Choice(new Prices($plan), false))->least(
                $shelf->ofKind('set'),
                Thing::class,
                static fn(Thing $t): bool => $t->values->string('colours') === $requirement->colour &&
                    $t->values->number('metres') >= $run->length() - 1e-9,
            ) ??
            throw new NoSolution(
                sprintf(
                    'No ready-made set on the shelf has %.1f m of %s. Sets cannot be joined end to end.',
                    $run->length(),
                    Facts::way($requirement->colour),
                ),
            );
        $f = new Fields($best->written);
        $watts = ($f->number('watts') * $run->length()) / $f->number('metres');
        $hours = ($run->length() * self::METRE) / 60 + self::PLUGGING;
        $price = (new Prices($plan))->for($best, 1);
        $currency = $plan->terms->currency;

        return new OptionCard(
            requirement: $requirement,
            kit: [
                $best->entry->name(),
                'Fed at one end only: its box does not say how bright the far end is' .
                ($f->has('extends') && $f->flag('extends') ? '' : '. It cannot be made longer'),
            ],
            figures: [
                'load' => new Figure(
                    label: 'Load',
                    value: $watts,
                    unit: 'W',
                    decimals: 0,
                    formula: 'P * L / M',
                    inputs: [
                        new Input('P', 'the whole set', $f->number('watts'), 'W'),
                        new Input('L', 'used', $run->length(), 'm'),
                        new Input('M', 'in the box', $f->number('metres'), 'm'),
                    ],
                    assumption: 'As its box says.',
                ),
                'joints' => Card::count('Joints', 0, 'factory plugs only'),
                'boxes' => Card::count('To hide', 2, 'supply and receiver'),
                'cost' => new Figure(
                    label: 'Cost',
                    value: ($price ?? 0.0) + $hours * $plan->terms->hourRate,
                    unit: $currency,
                    decimals: 2,
                    formula: 'p + h * r',
                    inputs: [
                        new Input(
                            'p',
                            $price === null ? 'the set (no price on the shelf)' : 'the set',
                            $price ?? 0.0,
                            $currency,
                        ),
                        new Input('h', 'hours', $hours, 'h'),
                        new Input('r', 'an hour', $plan->terms->hourRate, $currency),
                    ],
                    assumption: 'Without tax.',
                ),
                'hours' => new Figure(
                    label: 'Hours',
                    value: $hours,
                    unit: 'h',
                    decimals: 1,
                    formula: 'L * m / 60 + s',
                    inputs: [
                        new Input('L', 'strip to fix', $run->length(), 'm'),
                        new Input('m', 'minutes a metre', self::METRE, 'min'),
                        new Input('s', 'plugging in', self::PLUGGING, 'h'),
                    ],
                    assumption: 'One person.',
                    source: 'common practice, no source',
                ),
                'energy' => Card::energy($plan, $watts, 'as its box says'),
            ],
            reach: ControlReach::of(
                plan: $plan,
                taken: null,
                control: $f->strings('speaks')[0] ?? 'rf',
                colour: $requirement->colour,
                shelf: $shelf,
            ),
            findings: [],
        );
    }
}
