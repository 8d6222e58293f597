<?php

declare(strict_types=1);

namespace EmberDusk\Advice;

use EmberDusk\Circuit\CableFigures;
use EmberDusk\Circuit\Rules\Seam;
use EmberDusk\Circuit\RunFigures;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Fuse;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/** Ribbons: every run at true length with its feeds, its cables and the curves along it. */
final readonly class WireDesk
{
    /** @return array<string, mixed> */
    public static function picture(Work $work): array
    {
        return [
            'runs' => array_map(static fn(Run $r): array => Ribbons::run($work, $r), array_values($work->plan->runs)),
            'cables' => array_map(
                static fn(KitSnapshot $f): array => [
                    'id' => $f->entry->id(),
                    'name' => $f->entry->name(),
                    'label' =>
                        $f->entry instanceof Cable ? $f->entry->cores . ' x ' . $f->entry->conductor->label() : '',
                ],
                $work->shelf->ofKind('cable'),
            ),
            'joints' => self::options($work, 'connector'),
            'fuses' => self::options($work, 'fuse'),
            'supplies' => SupplyRows::of($work),
            'fixtures' => FixtureRows::of($work),
            'fixtureKit' => self::options($work, 'fixture'),
            'places' => array_map(
                static fn(Place $p): array => ['id' => $p->id, 'name' => $p->name, 'label' => ''],
                array_values($work->plan->places),
            ),
            'scene' => $work->scene,
            'scenes' => SceneRows::of($work),
            'dimmed' => SceneRows::dimmed($work),
        ];
    }

    /** @return list<array{id: string, name: string, label: string}> what the shelf has of a kind */
    private static function options(Work $work, string $kind): array
    {
        return array_map(
            static fn(KitSnapshot $f): array => [
                'id' => $f->entry->id(),
                'name' => $f->entry->name(),
                'label' => $f->entry instanceof Fuse ? sprintf('%g A', $f->entry->amps) : $f->entry->name(),
            ],
            $work->shelf->ofKind($kind),
        );
    }

    /** @return list<Figure> of the one run that is wired, or the sum and the worst of all, each saying which it is */
    public static function ledger(Work $work): array
    {
        $runs = array_values(
            array_filter($work->plan->runs, static fn(Run $r): bool => $work->plan->strip($r->strip) !== null),
        );
        $figures = count($runs) === 1 ? self::figures($work, $runs[0]) : self::worst($work, $runs);
        if ($work->plan->cables !== []) {
            $figures[] = CableFigures::copper($work->plan);
        }

        return $figures;
    }

    /** @return list<Figure> */
    private static function figures(Work $work, Run $run): array
    {
        $strip = $work->plan->strip($run->strip);
        $supply = $work->plan->supply($run->supply);
        $result = $work->result($run->id);
        if ($strip === null) {
            return [];
        }
        $figures = [RunFigures::load($strip, $work->plan->cutMarks($run)?->length() ?? 0.0, 'Load, all full')];
        if ($result === null || $supply === null) {
            return $figures;
        }
        $figures[] = RunFigures::supplyShare($result, $supply, strtoupper((string) $run->supply));
        $figures[] = RunFigures::darkest($result, $strip);
        $figures[] = RunFigures::evenness($result);
        if (Seam::applies($work->plan, $run)) {
            $figures[] = RunFigures::seam($result);
        }
        if (count($strip->channels) > 1) {
            $figures[] = RunFigures::shift($result, $strip);
        }
        $figures[] = RunFigures::drop($result);

        return $figures;
    }

    /**
     * The load of all runs, and of each other figure the worst one with its run's name.
     *
     * @param  list<Run>  $runs
     * @return list<Figure>
     */
    private static function worst(Work $work, array $runs): array
    {
        $loads = [];
        $worst = [];
        foreach ($runs as $n => $run) {
            foreach (self::figures($work, $run) as $figure) {
                $kind = preg_replace('/^S\d+ /', '', $figure->label) ?? $figure->label;
                if ($kind === 'Load, all full') {
                    $loads[] = new Input('P' . ($n + 1), $run->name(), $figure->value, 'W');

                    continue;
                }
                $less = in_array($kind, ['Darkest light', 'Evenness'], true);
                if (
                    !isset($worst[$kind]) ||
                    ($less ? $figure->value < $worst[$kind]->value : $figure->value > $worst[$kind]->value)
                ) {
                    $worst[$kind] = $figure->named(
                        str_contains($figure->label, $run->name()) || $kind !== $figure->label
                            ? $figure->label
                            : "{$figure->label}, {$run->name()}",
                    );
                }
            }
        }

        return [
            ...$loads === []
                ? []
                : [
                    new Figure(
                        'Load, all full',
                        array_sum(array_map(static fn(Input $i): float => $i->value, $loads)),
                        'W',
                        0,
                        implode(' + ', array_map(static fn(Input $i): string => $i->symbol, $loads)),
                        $loads,
                        'Nominal: as labelled, before any drop.',
                        'common practice, no source',
                    ),
                ],
            ...array_values($worst),
        ];
    }
}
