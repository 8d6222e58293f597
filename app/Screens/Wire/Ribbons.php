<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Light\Seam;
use EmberDusk\Circuit\CableFigures;
use EmberDusk\Circuit\RunFigures;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\Channel;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\DataLine;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\DataLead;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Refusal;

/** The ribbon of a run: its marks, feeds, cables and curves. */
final readonly class Ribbons
{
    /** Number of colours along a ribbon: more are not distinguishable. */
    private const STOPS = 90;

    /** Runs of a job of which all curves are sent, and places whose light is sent of the others. */
    private const FEW = 8;

    private const SMALL = 24;

    public static function for(JobState $state, Run $run): WireRun
    {
        $plan = $state->plan;
        $strip = $plan->strip($run->strip);
        $marks = $plan->cutMarks($run);
        $result = $state->shown($run->id);
        $refusal = $state->results[$run->id] ?? null;
        $trunk = $plan->ways()->cableTo($run->controller ?? '');

        $trouble = $refusal instanceof Refusal ? $refusal->getMessage() : null;
        $load = $strip !== null ? RunFigures::load($strip, $marks?->length() ?? 0.0, 'Load', $run->cap) : null;
        $evenness = $result !== null ? RunFigures::evenness($result) : null;

        return new WireRun(
            ...[
                'id' => $run->id,
                'name' => $run->name(),
                'length' => Figure::print($marks?->length() ?? $run->length(), 2),
                'metres' => $marks?->length() ?? $run->length(),
                'pitch' => $marks->pitch ?? 0.0,
                'lastPad' => $marks?->lastPad() ?? 0,
                'strip' => $strip?->name(),
                'colours' => array_map(static fn(Channel $c): string => $c->colour, $strip->channels ?? []),
                'channels' => array_map(static fn(Channel $c): string => $c->name, $strip->channels ?? []),
                'nominalVolts' => $strip->volts ?? 0.0,
                'evennessLimit' => $plan->limits->evenness,
                'endsMeet' => Seam::applies($plan, $run),
                'trouble' => $trouble,
                'supply' => self::device(
                    $plan->supply($run->supply)?->name(),
                    $run->supply,
                    $result === null ? null : JudgedJob::for($state)->supply((string) $run->supply)->figure(),
                    $plan->supplies[$run->supply ?? ''] ?? null,
                ),
                'controller' => self::device(
                    $plan->controller($run->controller)?->name(),
                    $run->controller,
                    $result === null
                        ? null
                        : RunFigures::controllerAmps($result, strtoupper((string) $run->controller)),
                    $plan->controllers[$run->controller ?? ''] ?? null,
                ),
                'trunk' => $trunk === null ? null : self::cable($state, $trunk, $result),
                'place' => $plan->places[$run->place]->name ?? '',
                'pins' => $run->pins,
                'split' => $run->parts > 1 || $run->zones !== [],
                'cables' => self::ways($state, $run, $result),
                'taps' => Taps::for($state, $run),
                'data' => DataLead::words($plan, $run),
                'dataAt' => self::dataAt($plan, $run),
                'load' => $load,
                'evenness' => $evenness,
                'feeds' => self::feeds($state, $run, $result),
            ] + self::curves($state, $run, $result),
        );
    }

    /** Metres from the run's start at which data comes in; null without a pixel board. */
    private static function dataAt(Plan $plan, Run $run): ?float
    {
        $line = $plan->boardOn($run) === null ? null : DataLine::to($plan, $run);

        return $line === null ? null : $plan->cutMarks($run)?->position($line->pad($plan, $run));
    }

    /**
     * Everything along a run; of runs that are shown small in a large job only the light at some places.
     *
     * @return array{
     *     thin: bool,
     *     light: list<float>,
     *     volts: list<list<float>>,
     *     amps: list<float>,
     *     seen: list<string>,
     *     spread: list<list<float>>,
     * }
     */
    private static function curves(JobState $state, Run $run, ?RunResult $result): array
    {
        $strip = $state->plan->strip($run->strip);
        if ($result === null || $strip === null) {
            return ['thin' => false, 'light' => [], 'volts' => [], 'amps' => [], 'seen' => [], 'spread' => []];
        }
        if (count($state->plan->runs) > self::FEW && !in_array($run->id, $state->open, true)) {
            $count = min(self::SMALL, count($result->light));

            return [
                'thin' => true,
                'light' => array_map(
                    static fn(int $n): float => round(
                        $result->light[(int) round(($n * (count($result->light) - 1)) / max(1, $count - 1))],
                        3,
                    ),
                    range(0, max(0, $count - 1)),
                ),
                'volts' => [],
                'amps' => [],
                'seen' => [],
                'spread' => [],
            ];
        }

        return [
            'thin' => false,
            'light' => self::rounded($result->light, 5),
            'volts' => array_map(static fn(array $v): array => self::rounded($v, 4), $result->volts),
            'amps' => self::rounded($result->railAmps, 4),
            'seen' => self::seen($result, $strip),
            'spread' => array_map(static fn(array $l): array => self::rounded($l, 4), $result->spread),
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
            $group = (int) round(($n * (count($seen) - 1)) / max(1, $count - 1));
            $colours[] = $seen[$group]->hex(min(1.0, $result->light[$group] / $brightest));
        }

        return $colours;
    }

    /** @return list<WireFeed> */
    private static function feeds(JobState $state, Run $run, ?RunResult $result): array
    {
        $marks = $state->plan->cutMarks($run);
        $feeds = [];
        foreach ($state->plan->ways()->feedsOf($run) as $feed) {
            $cable = $state->plan->ways()->cableTo($feed->id);
            $feeds[] = new WireFeed(
                id: $feed->id,
                pad: $feed->pad,
                at: $marks?->position($feed->pad) ?? 0.0,
                cable: $cable === null ? null : self::cable($state, $cable, $result),
                past: $run->controller !== null &&
                    isset($state->plan->supplies[$state->plan->ways()->root($cable->from ?? '') ?? '']),
            );
        }

        return $feeds;
    }

    /** @return list<WireWay> every cable on the way to the run, in the order of the current, each with where it goes */
    private static function ways(JobState $state, Run $run, ?RunResult $result): array
    {
        $plan = $state->plan;
        $marks = $plan->cutMarks($run);
        $cables = $run->controller === null ? [] : array_reverse($plan->ways()->wayTo($run->controller), true);
        foreach ($plan->ways()->feedsOf($run) as $feed) {
            $cables += array_reverse($plan->ways()->wayTo($feed->id), true);
        }
        // From a bank to its converter comes before all.
        foreach ($plan->ways()->suppliesOf($run) as $supply) {
            $cables = array_reverse($plan->ways()->wayTo($supply), true) + $cables;
        }
        $end = static fn(string $id): string => isset($plan->feeds[$id])
            ? sprintf('%.2f m', $marks?->position($plan->feeds[$id]->pad) ?? 0.0)
            : strtoupper($id);

        return array_values(
            array_map(
                static fn(LaidCable $c): WireWay => new WireWay(
                    way: $end($c->from) . ' to ' . $end($c->to),
                    cable: self::cable($state, $c, $result),
                ),
                $cables,
            ),
        );
    }

    private static function cable(JobState $state, LaidCable $cable, ?RunResult $result): WireCable
    {
        $kit = $state->plan->cable($cable->kit);
        $input = isset($state->plan->supplies[$cable->to]);
        $of = $input ? JudgedJob::for($state)->cables()[$cable->id] ?? null : $result->cables[$cable->id] ?? null;

        $label = $kit !== null ? $kit->cores . ' x ' . $kit->conductor->label() : '';
        $drop = null;
        $amps = null;
        if ($of !== null) {
            $drop = CableFigures::cableDrop($state->plan, $of);
            $amps = CableFigures::cableAmps($of);
        }

        return new WireCable(
            id: $cable->id,
            kit: $cable->kit,
            label: $label,
            length: Figure::print($cable->length, 2),
            reckoned: $cable->reckoned,
            way: CableFigures::way($state->plan, $cable),
            joint: $cable->joint ?? '',
            fuse: $cable->fuse ?? '',
            switch: $cable->switch ?? '',
            existing: $cable->existing,
            drop: $drop,
            amps: $amps,
        );
    }

    private static function device(?string $name, ?string $id, ?Figure $figure, ?Device $device): ?WireDevice
    {
        if ($name === null || $id === null) {
            return null;
        }

        return new WireDevice(id: $id, name: $name, figure: $figure, where: $device?->where() ?? '');
    }

    /**
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function rounded(array $values, int $decimals): array
    {
        return array_map(static fn(float $v): float => round($v, $decimals), $values);
    }
}
