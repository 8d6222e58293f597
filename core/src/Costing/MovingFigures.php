<?php

declare(strict_types=1);

namespace EmberDusk\Costing;

use EmberDusk\Plan\Plan;
use EmberDusk\Rates\UnitCosts;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/** Cost of a choice with its working. */
final readonly class MovingFigures
{
    /** The total, with every line in its working. */
    public static function cost(Plan $plan, Moving $moving): Figure
    {
        $inputs = [];
        foreach ($moving->lines() as $key => $line) {
            $inputs[] = new Input(
                symbol: 'c' . (count($inputs) + 1),
                meaning: "{$line->what}, {$line->said()}",
                value: $line->cost / UnitCosts::COIN,
                unit: $plan->terms->currency,
                path: "moving.{$key}.cost",
            );
        }

        return self::sum($plan, $moving->cost(), $inputs);
    }

    public static function hours(Moving $moving): Figure
    {
        $inputs = [];
        foreach ($moving->lines() as $key => $line) {
            if ($line->minutes > 0) {
                $inputs[] = new Input(
                    symbol: 'm' . (count($inputs) + 1),
                    meaning: $line->what,
                    value: $line->minutes,
                    unit: 'min',
                    path: "moving.{$key}.minutes",
                );
            }
        }
        $sum = Input::sum($inputs);

        $formula = $inputs !== [] ? "({$sum}) / 60" : '0';

        return new Figure(
            label: 'Hours for this choice',
            value: $moving->minutes() / 60,
            unit: 'h',
            decimals: 1,
            formula: $formula,
            inputs: $inputs,
            assumption: 'Unrounded minutes from the table of times, at this crew’s pace; without work that no choice changes, such as sticking the strip.',
            source: 'common practice, no source',
        );
    }

    /** A sum as a figure. */
    public static function for(Plan $plan, int $cost): Figure
    {
        return self::sum($plan, $cost, [
            new Input(
                'c',
                'units, cable by 0.1 m, fuses, minutes',
                $cost / UnitCosts::COIN,
                $plan->terms->currency,
                'moving: the planner’s sum',
            ),
        ]);
    }

    /** @param  list<Input>  $inputs */
    private static function sum(Plan $plan, int $cost, array $inputs): Figure
    {
        return new Figure(
            label: 'Cost of this choice',
            value: $cost / UnitCosts::COIN,
            unit: $plan->terms->currency,
            decimals: 2,
            formula: Input::sum($inputs),
            inputs: $inputs,
            assumption: 'Prices of the shelf, cable by 0.1 m, unrounded minutes at the job’s rate. Whole reels, ' .
                'spares, the client’s own kit, mark-up and tax are in the quote.',
            source: 'common practice, no source',
        );
    }
}
