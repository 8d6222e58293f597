<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Circuit\CableFigures;
use EmberDusk\Circuit\CableResult;
use EmberDusk\Circuit\RunFigures;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Costing\Costing;
use EmberDusk\Costing\MovingFigures;
use EmberDusk\Costing\Promise;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Severity;

/** A way to split a run as a row: its amps, drop, light, joints and cost, and its stops. */
final readonly class SplitCard
{
    /**
     * @param  array<string, Figure>  $figures  by column
     * @param  list<string>  $stops
     * @param  list<SplitPart>  $sketch  parts from the run's start
     */
    private function __construct(
        private SplitWay $way,
        private array $figures,
        private array $stops,
        private array $sketch,
        private string $refused,
    ) {}

    public static function refused(SplitWay $way, string $why): self
    {
        return new self($way, [], [], [], $why);
    }

    /** @throws \EmberDusk\Values\Refusal when it cannot be solved */
    public static function for(Plan $plan, Run $run, SplitWay $way, Promise $promise): self
    {
        $trial = Trial::drawn($plan, $run);
        $moving = Costing::moving($plan, $promise->basis, array_keys($trial->results));
        $fullest = null;
        $farthest = null;
        foreach ($trial->results as $id => $result) {
            foreach ($plan->ways()->feedsOf($plan->run($id)) as $feed) {
                $cable = $result->cables[$plan->ways()->cableTo($feed->id)->id ?? ''] ?? null;
                if ($cable !== null && ($fullest === null || $cable->openAmps > $fullest->openAmps)) {
                    $fullest = $cable;
                }
            }
            if ($farthest === null || $result->farthestFeed()->lost() > $farthest->farthestFeed()->lost()) {
                $farthest = $result;
            }
        }

        $drop = $farthest !== null ? (new RunFigures($farthest))->drop() : null;

        return new self(
            way: $way,
            figures: array_filter([
                'amps' => self::amps($fullest),
                'drop' => $drop,
                'evenness' => Card::evenness($trial),
                'joints' => Card::count('Joints', $moving->joints(), 'of one core'),
                'units' => Card::count('To hide', $moving->units(), 'supplies and controllers'),
                'cost' => MovingFigures::cost($plan, $moving),
                'quote' => $promise->change($plan)->figure(),
            ]),
            stops: array_values(
                array_unique(
                    array_map(
                        static fn(Finding $f): string => $f->title,
                        array_filter($trial->findings, static fn(Finding $f): bool => $f->severity === Severity::Stop),
                    ),
                ),
            ),
            sketch: self::sketch($plan, $trial->results),
            refused: '',
        );
    }

    public function row(): SplitRow
    {
        return new SplitRow(
            how: $this->way->how,
            label: $this->way->label,
            amps: $this->figures['amps'] ?? null,
            drop: $this->figures['drop'] ?? null,
            evenness: $this->figures['evenness'] ?? null,
            joints: $this->figures['joints'] ?? null,
            units: $this->figures['units'] ?? null,
            cost: $this->figures['cost'] ?? null,
            quote: $this->figures['quote'] ?? null,
            stops: $this->stops,
            sketch: $this->sketch,
            refused: $this->refused !== '' ? $this->refused : null,
            take: $this->refused === '' ? $this->way->change : null,
        );
    }

    private static function amps(?CableResult $fullest): ?Figure
    {
        if ($fullest === null) {
            return null;
        }

        return CableFigures::cableAmps($fullest)->named('Fullest tail, ' . strtoupper($fullest->id));
    }

    /**
     * @param  array<string, RunResult>  $results  by part
     * @return list<SplitPart>
     */
    private static function sketch(Plan $plan, array $results): array
    {
        $runs = array_map($plan->run(...), array_keys($results));
        usort($runs, static fn(Run $a, Run $b): int => $a->part <=> $b->part);
        $lengths = array_map(static fn(Run $r): float => $plan->of($r)->marks()->length(), $runs);
        $whole = array_sum($lengths);
        $sketch = [];
        foreach ($runs as $run) {
            $marks = $plan->of($run)->marks();
            $cuts = [0, ...$run->zones, $marks->lastPad()];
            foreach (array_slice($cuts, 0, -1) as $n => $from) {
                $start = $marks->position($from);
                $metres = $marks->position($cuts[$n + 1]) - $start;
                $last = $n === count($cuts) - 2;
                $feeds = array_filter(
                    $plan->ways()->feedsOf($run),
                    static fn(Feed $f): bool => $f->pad >= $from && ($last || $f->pad < $cuts[$n + 1]),
                );
                $sketch[] = new SplitPart(
                    share: $whole > 0 ? round($metres / $whole, 4) : 0.0,
                    feeds: array_values(
                        array_map(
                            static fn(Feed $f): float => $metres > 0
                                ? round(($marks->position($f->pad) - $start) / $metres, 4)
                                : 0.0,
                            $feeds,
                        ),
                    ),
                    unit: strtoupper(
                        (string) ($run->zones === []
                            ? $plan->ways()->origin($run)
                            : $plan->ways()->root($plan->ways()->cableTo(reset($feeds)->id ?? '')->from ?? '')),
                    ),
                );
            }
        }

        return $sketch;
    }
}
