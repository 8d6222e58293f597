<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Light\Seam;
use EmberDusk\Circuit\CableFigures;
use EmberDusk\Circuit\LoadFigures;
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
use EmberDusk\Plan\Routes\SignalLead;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Segment;
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

    private function __construct(private JobState $state, private Run $run) {}

    public static function for(JobState $state, Run $run): WireRun
    {
        return (new self($state, $run))->row();
    }

    private function row(): WireRun
    {
        $plan = $this->state->plan;
        $strip = $plan->strip($this->run->strip);
        $marks = $plan->of($this->run)->cutMarks();
        $result = $this->state->shown($this->run->id);
        $refusal = $this->state->results[$this->run->id] ?? null;
        $trunk = $plan->ways()->cableTo($this->run->controller ?? '');

        $trouble = $refusal instanceof Refusal ? $refusal->getMessage() : null;
        $load = $strip !== null ? LoadFigures::load($strip, $marks?->length() ?? 0.0, 'Load', $this->run->cap) : null;
        $evenness = $result !== null ? (new RunFigures($result))->evenness() : null;

        return new WireRun(
            ...[
                'id' => $this->run->id,
                'name' => $this->run->name(),
                'length' => $plan->terms->say($marks?->length() ?? $this->run->length()),
                'metres' => $marks?->length() ?? $this->run->length(),
                'pitch' => $marks->pitch ?? 0.0,
                'lastPad' => $marks?->lastPad() ?? 0,
                'strip' => $strip?->name(),
                'colours' => array_map(static fn(Channel $c): string => $c->colour, $strip->channels ?? []),
                'channels' => array_map(static fn(Channel $c): string => $c->name, $strip->channels ?? []),
                'nominalVolts' => $strip->volts ?? 0.0,
                'evennessLimit' => $plan->limits->evenness,
                'endsMeet' => Seam::applies($plan, $this->run),
                'trouble' => $trouble,
                'supply' => self::device(
                    $plan->supply($this->run->supply)?->name(),
                    $this->run->supply,
                    $result === null
                        ? null
                        : JudgedJob::for($this->state)->supply((string) $this->run->supply)->figure(),
                    $plan->supplies[$this->run->supply ?? ''] ?? null,
                ),
                'controller' => self::device(
                    $plan->controller($this->run->controller)?->name(),
                    $this->run->controller,
                    $result === null
                        ? null
                        : (new RunFigures($result))->controllerAmps(strtoupper((string) $this->run->controller)),
                    $plan->controllers[$this->run->controller ?? ''] ?? null,
                ),
                'trunk' => $trunk === null ? null : self::cable($this->state, $trunk, $result),
                'place' => $plan->places[$this->run->place]->name ?? '',
                'pins' => $this->run->pins,
                'pixels' => $plan->of($this->run)->pixels(),
                'segments' => array_values(
                    array_filter($plan->segments, fn(Segment $s): bool => $s->run === $this->run->id),
                ),
                'signals' => array_map(
                    static fn(SignalLead $l): string => $l->words(),
                    SignalLead::at($plan, $this->run),
                ),
                'split' => $this->run->parts > 1 || $this->run->zones !== [],
                'cables' => $this->ways($result),
                'taps' => Taps::for($this->state, $this->run),
                'data' => DataLead::words($plan, $this->run),
                'dataAt' => self::dataAt($plan, $this->run),
                'load' => $load,
                'evenness' => $evenness,
                'feeds' => $this->feeds($result),
            ] + $this->curves($result),
        );
    }

    /** Metres from the run's start at which data comes in; null without a pixel board. */
    private static function dataAt(Plan $plan, Run $run): ?float
    {
        $line = $plan->of($run)->board() === null ? null : DataLine::to($plan, $run);

        return $line === null ? null : $plan->of($run)->cutMarks()?->position($line->pad($plan, $run));
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
    private function curves(?RunResult $result): array
    {
        $strip = $this->state->plan->strip($this->run->strip);
        if ($result === null || $strip === null) {
            return ['thin' => false, 'light' => [], 'volts' => [], 'amps' => [], 'seen' => [], 'spread' => []];
        }
        if (count($this->state->plan->runs) > self::FEW && !in_array($this->run->id, $this->state->open, true)) {
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
        $seen = (new RunFigures($result))->seen($strip);
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
    private function feeds(?RunResult $result): array
    {
        $marks = $this->state->plan->of($this->run)->cutMarks();
        $feeds = [];
        foreach ($this->state->plan->ways()->feedsOf($this->run) as $feed) {
            $cable = $this->state->plan->ways()->cableTo($feed->id);
            $feeds[] = new WireFeed(
                id: $feed->id,
                pad: $feed->pad,
                at: $marks?->position($feed->pad) ?? 0.0,
                cable: $cable === null ? null : self::cable($this->state, $cable, $result),
                past: $this->run->controller !== null &&
                    isset($this->state->plan->supplies[$this->state->plan->ways()->root($cable->from ?? '') ?? '']),
            );
        }

        return $feeds;
    }

    /** @return list<WireWay> every cable on the way to the run, in the order of the current, each with where it goes */
    private function ways(?RunResult $result): array
    {
        $plan = $this->state->plan;
        $marks = $plan->of($this->run)->cutMarks();
        $cables =
            $this->run->controller === null ? [] : array_reverse($plan->ways()->wayTo($this->run->controller), true);
        foreach ($plan->ways()->feedsOf($this->run) as $feed) {
            $cables += array_reverse($plan->ways()->wayTo($feed->id), true);
        }
        // From a bank to its converter comes before all.
        foreach ($plan->ways()->suppliesOf($this->run) as $supply) {
            $cables = array_reverse($plan->ways()->wayTo($supply), true) + $cables;
        }
        $end = static fn(string $id): string => isset($plan->feeds[$id])
            ? $plan->terms->say($marks?->position($plan->feeds[$id]->pad) ?? 0.0)
            : strtoupper($id);

        return array_values(
            array_map(
                fn(LaidCable $c): WireWay => new WireWay(
                    way: $end($c->from) . ' to ' . $end($c->to),
                    cable: self::cable($this->state, $c, $result),
                ),
                $cables,
            ),
        );
    }

    /** A cable with what flows in it: in a run’s picture, or else, as to a converter or to fixtures, at its worst. */
    public static function cable(JobState $state, LaidCable $cable, ?RunResult $result): WireCable
    {
        $kit = $state->plan->cable($cable->kit);
        $apart = isset($state->plan->supplies[$cable->to]) || isset($state->plan->fixtures[$cable->to]);
        $of = $apart ? JudgedJob::for($state)->cables()[$cable->id] ?? null : $result->cables[$cable->id] ?? null;

        $label = $kit !== null ? $kit->cores . ' x ' . $kit->conductor->label() : '';
        $drop = null;
        $amps = null;
        if ($of !== null) {
            $drop = (new CableFigures($state->plan))->cableDrop($of);
            $amps = CableFigures::cableAmps($of);
        }

        return new WireCable(
            id: $cable->id,
            kit: $cable->kit,
            label: $label,
            length: Figure::print($cable->length, 2),
            reckoned: $cable->reckoned,
            way: (new CableFigures($state->plan))->way($cable),
            joint: $cable->joint ?? '',
            fuse: $cable->fuse ?? '',
            switch: $cable->switch ?? '',
            existing: $cable->existing,
            drop: $drop,
            amps: $amps,
            joined: $state->plan->ways()->joined($cable),
            fusible: $state->plan->ways()->fusible($cable),
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
