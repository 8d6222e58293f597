<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Costing\Basis;
use EmberDusk\Costing\Promise;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Invariants;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Refusal;

/** The ways to split a run side by side, each solved and priced before anything is kept. */
final readonly class Splits
{
    /**
     * @param  int  $parts  how many are side by side on one controller
     * @return list<SplitRow>
     */
    public static function for(Plan $plan, Run $run, int $parts, Basis $basis): array
    {
        $promise = new Promise($plan, $basis);
        $cards = [];
        foreach (SplitWay::all($plan, $run, $parts, $basis->shelf) as $way) {
            $cards[] = self::card($plan, $run, $way, $promise)->row();
        }

        return $cards;
    }

    private static function card(Plan $plan, Run $run, SplitWay $way, Promise $promise): SplitCard
    {
        if ($way->refused !== '') {
            return SplitCard::refused($way, $way->refused);
        }
        try {
            if ($way->change !== null) {
                $plan = Catalogue::make($way->change, $promise->basis->shelf)->apply($plan);
                Invariants::check($plan);
            }

            return SplitCard::for($plan, $run, $way, $promise);
        } catch (Refusal $t) {
            return SplitCard::refused($way, $t->getMessage());
        }
    }
}
