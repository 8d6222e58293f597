<?php

declare(strict_types=1);

namespace EmberDusk\Advice;

use EmberDusk\Circuit\Rules\Seam;
use EmberDusk\Circuit\RunFigures;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Channel;
use EmberDusk\Kit\Fuse;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Frozen;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Run;
use EmberDusk\Workings\Figure;
use EmberDusk\Workings\Input;
use EmberDusk\Workings\Trouble;

/** Ribbons: every run at true length with its feeds, its cables and the curves along it. */
final readonly class WireDesk
{
    /** Places along a ribbon whose colour is told: more are not told apart. */
    private const STOPS = 90;

    /** Runs of a job of which all curves are sent, and places whose light is sent of the others. */
    private const FEW = 8;

    private const SMALL = 24;

    /** @return array<string, mixed> */
    public static function picture(Work $work): array
    {
        return [
            'runs' => array_map(static fn (Run $r): array => self::run($work, $r), array_values($work->plan->runs)),
            'cables' => array_map(static fn (Frozen $f): array => ['id' => $f->entry->id(), 'name' => $f->entry->name(),
                'label' => $f->entry instanceof Cable ? $f->entry->cores.' x '.$f->entry->conductor->label() : ''], $work->shelf->ofKind('cable')),
            'joints' => self::options($work, 'connector'),
            'fuses' => self::options($work, 'fuse'),
            'supplies' => SupplyRows::of($work),
            'fixtures' => FixtureRows::of($work),
            'fixtureKit' => self::options($work, 'fixture'),
            'places' => array_map(static fn (Place $p): array => ['id' => $p->id, 'name' => $p->name, 'label' => ''], array_values($work->plan->places)),
            'scene' => $work->scene,
            'scenes' => SceneRows::of($work),
            'dimmed' => SceneRows::dimmed($work),
        ];
    }

    /** @return list<array{id: string, name: string, label: string}> what the shelf has of a kind */
    private static function options(Work $work, string $kind): array
    {
        return array_map(static fn (Frozen $f): array => ['id' => $f->entry->id(), 'name' => $f->entry->name(), 'label' => $f->entry instanceof Fuse ? sprintf('%g A', $f->entry->amps) : $f->entry->name()], $work->shelf->ofKind($kind));
    }

    /** @return list<Figure> of the one run that is wired, or the sum and the worst of all, each saying which it is */
    public static function ledger(Work $work): array
    {
        $runs = array_values(array_filter($work->plan->runs, static fn (Run $r): bool => $work->plan->strip($r->strip) !== null));
        $figures = count($runs) === 1 ? self::figures($work, $runs[0]) : self::worst($work, $runs);
        if ($work->plan->cables !== []) {
            $figures[] = RunFigures::copper($work->plan);
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
                    $loads[] = new Input('P'.($n + 1), $run->name(), $figure->value, 'W');

                    continue;
                }
                $less = in_array($kind, ['Darkest light', 'Evenness'], true);
                if (! isset($worst[$kind]) || ($less ? $figure->value < $worst[$kind]->value : $figure->value > $worst[$kind]->value)) {
                    $worst[$kind] = $figure->named(str_contains($figure->label, $run->name()) || $kind !== $figure->label ? $figure->label : "{$figure->label}, {$run->name()}");
                }
            }
        }

        return [...($loads === [] ? [] : [new Figure('Load, all full', array_sum(array_map(static fn (Input $i): float => $i->value, $loads)), 'W', 0,
            implode(' + ', array_map(static fn (Input $i): string => $i->symbol, $loads)), $loads, 'Nominal: as labelled, before any drop.', 'common practice, no source')]), ...array_values($worst)];
    }

    /** @return array<string, mixed> */
    private static function run(Work $work, Run $run): array
    {
        $plan = $work->plan;
        $strip = $plan->strip($run->strip);
        $marks = $plan->cutMarks($run);
        $result = $work->shown($run->id);
        $trouble = $work->results[$run->id] ?? null;
        $trunk = $plan->cableTo($run->controller ?? '');

        return [
            'id' => $run->id,
            'name' => $run->name(),
            'length' => Figure::print($marks?->length() ?? $run->length(), 2),
            'metres' => $marks?->length() ?? $run->length(),
            'pitch' => $marks->pitch ?? 0.0,
            'lastPad' => $marks?->lastPad() ?? 0,
            'strip' => $strip?->name(),
            'colours' => array_map(static fn (Channel $c): string => $c->colour, $strip->channels ?? []),
            'channels' => array_map(static fn (Channel $c): string => $c->name, $strip->channels ?? []),
            'nominalVolts' => $strip->volts ?? 0.0,
            'evennessLimit' => $plan->limits->evenness,
            'endsMeet' => Seam::applies($plan, $run),
            'trouble' => $trouble instanceof Trouble ? $trouble->getMessage() : null,
            'supply' => self::device($plan->supply($run->supply)?->name(), $run->supply,
                $result !== null && ($supply = $plan->supply($run->supply)) !== null ? RunFigures::supplyShare($result, $supply, strtoupper((string) $run->supply)) : null),
            'controller' => self::device($plan->controller($run->controller)?->name(), $run->controller,
                $result === null ? null : RunFigures::controllerAmps($result, strtoupper((string) $run->controller))),
            'trunk' => $trunk === null ? null : self::cable($work, $trunk, $result),
            'place' => $plan->places[$run->place]->name ?? '',
            'pins' => $run->pins,
            'cables' => self::ways($work, $run, $result),
            'taps' => Taps::of($work, $run),
            'load' => $strip === null ? null : RunFigures::load($strip, $marks?->length() ?? 0.0, 'Load')->toArray(),
            'evenness' => $result === null ? null : RunFigures::evenness($result)->toArray(),
            'feeds' => self::feeds($work, $run, $result),
            ...self::curves($work, $run, $result),
        ];
    }

    /**
     * Everything along a run; of runs that are shown small in a large job only the light at some places.
     *
     * @return array<string, mixed>
     */
    private static function curves(Work $work, Run $run, ?RunResult $result): array
    {
        $strip = $work->plan->strip($run->strip);
        if ($result === null || $strip === null) {
            return ['thin' => false, 'light' => [], 'volts' => [], 'amps' => [], 'seen' => [], 'spread' => []];
        }
        if (count($work->plan->runs) > self::FEW && ! in_array($run->id, $work->open, true)) {
            $count = min(self::SMALL, count($result->light));

            return ['thin' => true, 'light' => array_map(static fn (int $n): float => round($result->light[(int) round($n * (count($result->light) - 1) / max(1, $count - 1))], 3), range(0, max(0, $count - 1))), 'volts' => [], 'amps' => [], 'seen' => [], 'spread' => []];
        }

        return [
            'thin' => false,
            'light' => self::rounded($result->light, 5),
            'volts' => array_map(static fn (array $v): array => self::rounded($v, 4), $result->volts),
            'amps' => self::rounded($result->railAmps, 4),
            'seen' => self::seen($result, $strip),
            'spread' => array_map(static fn (array $l): array => self::rounded($l, 4), $result->spread),
        ];
    }

    /** @return list<string> colours that will be seen at some places along the run, brightness with them */
    private static function seen(RunResult $result, Strip $strip): array
    {
        $seen = RunFigures::seen($result, $strip);
        $brightest = max($result->brightest(), 1e-9);
        $count = min(self::STOPS, count($seen));
        $colours = [];
        for ($n = 0; $n < $count; $n++) {
            $group = (int) round($n * (count($seen) - 1) / max(1, $count - 1));
            $colours[] = $seen[$group]->hex(min(1.0, $result->light[$group] / $brightest));
        }

        return $colours;
    }

    /** @return list<array<string, mixed>> */
    private static function feeds(Work $work, Run $run, ?RunResult $result): array
    {
        $marks = $work->plan->cutMarks($run);
        $feeds = [];
        foreach ($work->plan->feedsOf($run) as $feed) {
            $cable = $work->plan->cableTo($feed->id);
            $feeds[] = ['id' => $feed->id, 'pad' => $feed->pad, 'at' => $marks?->position($feed->pad) ?? 0.0,
                'cable' => $cable === null ? null : self::cable($work, $cable, $result)];
        }

        return $feeds;
    }

    /** @return list<array<string, mixed>> every cable on the way to the run, in the order of the current, each with where it goes */
    private static function ways(Work $work, Run $run, ?RunResult $result): array
    {
        $plan = $work->plan;
        $marks = $plan->cutMarks($run);
        $cables = $run->controller === null || $plan->strip($run->strip)?->switched() === false ? [] : array_reverse($plan->wayTo($run->controller), true);
        foreach ($plan->feedsOf($run) as $feed) {
            $cables += array_reverse($plan->wayTo($feed->id), true);
        }
        $end = static fn (string $id): string => isset($plan->feeds[$id]) ? sprintf('%.2f m', $marks?->position($plan->feeds[$id]->pad) ?? 0.0) : strtoupper($id);

        return array_values(array_map(static fn (LaidCable $c): array => ['way' => $end($c->from).' to '.$end($c->to), 'cable' => self::cable($work, $c, $result)], $cables));
    }

    /** @return array<string, mixed> */
    private static function cable(Work $work, LaidCable $cable, ?RunResult $result): array
    {
        $kit = $work->plan->cable($cable->kit);
        $of = $result->cables[$cable->id] ?? null;

        return ['id' => $cable->id, 'kit' => $cable->kit, 'label' => $kit === null ? '' : $kit->cores.' x '.$kit->conductor->label(), 'length' => Figure::print($cable->length, 2),
            'reckoned' => $cable->reckoned, 'joint' => $cable->joint ?? '', 'fuse' => $cable->fuse ?? '', 'existing' => $cable->existing, 'drop' => $of === null ? null : RunFigures::cableDrop($work->plan, $of)->toArray(),
            'amps' => $of === null ? null : RunFigures::cableAmps($of)->toArray()];
    }

    /** @return array<string, mixed>|null */
    private static function device(?string $name, ?string $id, ?Figure $figure): ?array
    {
        return $name === null || $id === null ? null : ['id' => $id, 'name' => $name, 'figure' => $figure?->toArray()];
    }

    /**
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function rounded(array $values, int $decimals): array
    {
        return array_map(static fn (float $v): float => round($v, $decimals), $values);
    }
}
