<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Costing\Basis;
use EmberDusk\Costing\Promise;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\Runs\SplitRun;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Requirement;
use EmberDusk\Plan\Run;

/** The options of a run for comparison: those set by the user, or default ones: six, or for pixels the volts that there are, its own first. */
final readonly class Options
{
    /** @return list<Requirement> */
    public static function requirements(Plan $plan, Run $run): array
    {
        $set = array_values(array_filter($plan->options, static fn(Requirement $w): bool => $w->run === $run->id));
        if ($set !== []) {
            return $set;
        }
        $light = $run->light !== '' ? $run->light : 'room';
        $strip = $plan->strip($run->strip);
        $way = $plan->controlWay((string) $run->controller) ?? 'wifi';
        $pixels = array_map(
            static fn(float $volts): array => [$volts, 'pixels', 0, $way, 'shelf'],
            array_values(array_unique([$strip->volts ?? 24.0, 24.0, 12.0, 5.0])),
        );
        $usual =
            $strip !== null && !$strip->switched()
                ? $pixels
                : [
                    [24.0, 'single', 0, 'zigbee', 'shelf'],
                    [12.0, 'single', 0, 'zigbee', 'shelf'],
                    [24.0, 'tunable', 0, 'zigbee', 'shelf'],
                    [24.0, 'tunable', 2, 'rf', 'shelf'],
                    [24.0, 'rgbw', 0, 'zigbee', 'shelf'],
                    [24.0, 'tunable', 0, 'rf', $plan->owned === [] ? 'set' : 'owned'],
                ];

        return array_map(
            static fn(int $n, array $w): Requirement => new Requirement(
                id: 'o' . ($n + 1),
                run: $run->id,
                volts: $w[0],
                light: $light,
                colour: $w[1],
                controllers: $w[2],
                control: $w[3],
                source: $w[4],
            ),
            array_keys($usual),
            $usual,
        );
    }

    /** @return list<OptionColumn> the best of a row is marked where they differ */
    public static function for(Plan $plan, Run $run, Basis $basis): array
    {
        $promise = new Promise($plan, $basis);
        $shelf = $basis->shelf;
        if ($run->parts > 1) {
            // Options are for the measured run, regardless of its current split.
            $first = array_filter(
                $plan->runs,
                static fn(Run $r): bool => $r->place === $run->place && $r->word === $run->word && $r->part === 1,
            );
            $run = reset($first) ?: $run;
            $plan = Catalogue::make(SplitRun::payload(run: $run->id, parts: 1), $shelf)->apply($plan);
            $run = $plan->run($run->id);
        }
        $cards = array_map(
            static fn(Requirement $w): OptionCard => (new Card($plan, $run, $w))->for($promise),
            self::requirements($plan, $run),
        );
        $best = [];
        foreach (OptionCard::ROWS as $row => $more) {
            $values = [];
            foreach ($cards as $card) {
                if (isset($card->figures[$row])) {
                    $values[] = $card->figures[$row]->value;
                }
            }
            if ($values !== [] && max($values) - min($values) > 1e-9) {
                $best[$row] = $more ? max($values) : min($values);
            }
        }

        return array_map(static fn(OptionCard $c): OptionColumn => $c->column($best), $cards);
    }
}
