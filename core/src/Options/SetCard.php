<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Costing\Promise;
use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Facts;
use EmberDusk\Kit\Thing;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\Job\ChangeGroup;
use EmberDusk\Plan\Changes\Kit\SetItem;
use EmberDusk\Plan\Changes\Runs\SplitRun;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Requirement;
use EmberDusk\Plan\Run;
use EmberDusk\Rates\UnitCosts;
use EmberDusk\Rates\Work;
use EmberDusk\Schedule\ItemSteps;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;
use EmberDusk\Values\NoSolution;
use EmberDusk\Values\Refusal;

/** The ready-made set, with the data on its box. The box gives no light along the run, so none is calculated. */
final readonly class SetCard
{
    /** Supply and receiver are fixed; plugs take no more than the loose test. */
    private const UNITS = 1.0 * ItemSteps::UNITS;

    public function __construct(private Plan $plan, private Run $run, private Requirement $requirement) {}

    /** @throws Refusal when no set is long enough */
    public function for(Promise $promise): OptionCard
    {
        $basis = $promise->basis;
        $best =
            (new Choice($this->plan, false))->least(
                $basis->shelf->ofKind('set'),
                Thing::class,
                fn(Thing $t): bool => $t->values->string('colours') === $this->requirement->colour &&
                    $t->values->number('metres') >= $this->run->length() - 1e-9,
            ) ??
            throw new NoSolution(
                sprintf(
                    'No ready-made set on the shelf has %.1f m of %s. Sets cannot be joined end to end.',
                    $this->run->length(),
                    Facts::way($this->requirement->colour),
                ),
            );
        $take = ChangeGroup::payload(
            words: "{$best->entry->name()} taken for " . $this->run->whole(),
            changes: [
                // The kit chosen for the run is removed.
                SplitRun::payload(run: $this->run->id, parts: 1),
                SetItem::payload(kit: $best->entry->id(), place: $this->run->place, count: 1, on: $this->run->id),
            ],
        );
        $after = Catalogue::make($take, $basis->shelf)->apply($this->plan);
        $f = new Fields($best->written);
        $watts = ($f->number('watts') * $this->run->length()) / $f->number('metres');
        $costs = new UnitCosts($this->plan->terms, $basis->crew);
        $fixing = $costs->minutes(Work::Supply, self::UNITS);
        $test = $costs->minutes(Work::Loose, 1.0);
        $price = $this->plan->terms->price($best);
        $currency = $this->plan->terms->currency;

        return new OptionCard(
            requirement: $this->requirement,
            kit: [
                $best->entry->name(),
                'Fed at one end only: its box does not state the light at the far end' .
                ($f->has('extends') && $f->flag('extends') ? '' : '. It cannot be extended'),
            ],
            figures: [
                'load' => new Figure(
                    label: 'Load',
                    value: $watts,
                    unit: 'W',
                    decimals: 0,
                    formula: 'P * L / M',
                    inputs: [
                        new Input(
                            'P',
                            'the whole set',
                            $f->number('watts'),
                            'W',
                            path: "shelf.{$best->entry->id()}.watts",
                        ),
                        new Input('L', 'used', $this->run->length(), 'm', path: 'run.length()'),
                        new Input(
                            'M',
                            'in the box',
                            $f->number('metres'),
                            'm',
                            path: "shelf.{$best->entry->id()}.metres",
                        ),
                    ],
                    assumption: 'As stated on its box.',
                ),
                'quote' => $promise->change($after)->figure(),
                'joints' => Card::count('Joints', 0, 'factory plugs only'),
                'boxes' => Card::count('To hide', 2, 'supply and receiver'),
                'cost' => new Figure(
                    label: 'Cost of this choice',
                    value: ($costs->piece($best) +
                        $costs->work(Work::Supply, self::UNITS) +
                        $costs->work(Work::Loose, 1.0)) /
                        UnitCosts::COIN,
                    unit: $currency,
                    decimals: 2,
                    formula: 'p + (f + t) / 60 * r',
                    inputs: [
                        new Input(
                            symbol: 'p',
                            meaning: $price === null ? 'the set (no price on the shelf)' : 'the set',
                            value: $price ?? 0.0,
                            unit: $currency,
                            path: "shelf.{$best->entry->id()}.price",
                        ),
                        new Input('f', 'fixing supply and receiver', $fixing, 'min', 'the table of times: supply'),
                        new Input('t', 'plugging together and a test', $test, 'min', 'the table of times: loose'),
                        new Input('r', 'an hour', $this->plan->terms->hourRate, $currency, 'plan.terms.hourRate'),
                    ],
                    assumption: 'Without mark-up and tax, and without sticking, which no choice changes.',
                ),
                'hours' => new Figure(
                    label: 'Hours for this choice',
                    value: ($fixing + $test) / 60,
                    unit: 'h',
                    decimals: 1,
                    formula: '(f + t) / 60',
                    inputs: [
                        new Input('f', 'fixing supply and receiver', $fixing, 'min', 'the table of times: supply'),
                        new Input('t', 'plugging together and a test', $test, 'min', 'the table of times: loose'),
                    ],
                    assumption: 'One person; without work that no choice changes, such as sticking.',
                    source: 'common practice, no source',
                ),
                'energy' => Card::energy($this->plan, $watts, 'as stated on its box'),
            ],
            reach: ControlReach::for(
                plan: $this->plan,
                taken: null,
                control: $f->strings('speaks')[0] ?? 'rf',
                colour: $this->requirement->colour,
                shelf: $basis->shelf,
            ),
            findings: [],
            take: $take,
        );
    }
}
