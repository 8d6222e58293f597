<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\ScaledLoad;
use EmberDusk\Circuit\Load;
use EmberDusk\Circuit\Loads\GroupLoad;
use EmberDusk\Circuit\Network;
use EmberDusk\Circuit\Resistor;
use EmberDusk\Circuit\SourceCurrent;
use EmberDusk\Circuit\Stretch;
use EmberDusk\Circuit\Wiring;
use EmberDusk\Plan\Plan;

/** Puts a fault into a network, as it would be in the wires: more ohms, less volts, other strip, ends crossed, pixels without data. */
final readonly class FaultInjection
{
    /** Ohms of a nearly open contact: high enough that its ends have separate, readable volts. */
    private const OPEN = 1e5;

    private function __construct(private Network $network) {}

    public static function into(Network $network, Fault $fault, Plan $plan, MeterCommand $command): void
    {
        (new self($network))->inject($fault, $plan, $command);
    }

    private function inject(Fault $fault, Plan $plan, MeterCommand $command): void
    {
        $run = explode(':', $fault->place)[0];
        match ($fault->kind) {
            FaultKind::Joint => $this->ohms($fault, static fn(float $r): float => $r + $fault->size),
            FaultKind::Feed, FaultKind::Switch => $this->ohms($fault, static fn(): float => self::OPEN),
            FaultKind::Size, FaultKind::Length => $this->ohms($fault, static fn(float $r): float => $r * $fault->size),
            FaultKind::Low => $this->source(
                $fault->place,
                static fn(SourceCurrent $s): SourceCurrent => self::like($s, $s->emf * $fault->size, $s->limit),
            ),
            FaultKind::Overload => $this->source(
                $fault->place,
                static fn(SourceCurrent $s): SourceCurrent => self::like($s, $s->emf, $fault->size),
            ),
            FaultKind::Rail => $this->strip($run, static fn(Stretch $s): Stretch => self::railed($s, $fault->size)),
            FaultKind::Strip => $this->strip(
                $run,
                static fn(Stretch $s): Stretch => self::loaded(
                    $s,
                    array_map(static fn(Load $l): Load => new ScaledLoad($l, $fault->size), $s->loads),
                ),
            ),
            FaultKind::Reversed => $this->cross($run, (int) explode(':', $fault->place)[1], $plan),
            FaultKind::Limit => $command->key === MeterCommand::DARK
                ? null
                : $this->strip(
                    $run,
                    static fn(Stretch $s): Stretch => self::loaded($s, self::pixels($plan, $run, $fault->size)),
                ),
            FaultKind::Kind, FaultKind::Count, FaultKind::Data => $this->undriven($run, $fault->size, $plan),
        };
    }

    /** @param  callable(float): float  $ohms */
    private function ohms(Fault $fault, callable $ohms): void
    {
        $this->network->resistors = array_map(
            static fn(Resistor $r): Resistor => in_array($r->name, $fault->resistors, true)
                ? new Resistor($r->name, $r->part, $r->from, $r->to, $ohms($r->ohms))
                : $r,
            $this->network->resistors,
        );
    }

    /** @param  callable(SourceCurrent): SourceCurrent  $change */
    private function source(string $id, callable $change): void
    {
        $this->network->sources = array_map(
            static fn(SourceCurrent $s): SourceCurrent => $s->name === Wiring::name($id) ? $change($s) : $s,
            $this->network->sources,
        );
    }

    private static function like(SourceCurrent $s, float $emf, float $limit): SourceCurrent
    {
        return new SourceCurrent(
            name: $s->name,
            plus: $s->plus,
            emf: $emf,
            ohms: $s->ohms,
            limit: $limit,
            minus: $s->minus,
        );
    }

    /** @param  callable(Stretch): Stretch  $change */
    private function strip(string $run, callable $change): void
    {
        $this->network->stretches = array_map(
            static fn(Stretch $s): Stretch => $s->run === $run ? $change($s) : $s,
            $this->network->stretches,
        );
    }

    private static function railed(Stretch $s, float $factor): Stretch
    {
        return self::made($s, $s->loads, $s->first, $s->groups, $s->start, $s->end, $factor);
    }

    /** @param  non-empty-list<Load>  $loads */
    private static function loaded(Stretch $s, array $loads): Stretch
    {
        return self::made($s, $loads, $s->first, $s->groups, $s->start, $s->end);
    }

    /** @return non-empty-list<Load> */
    private static function pixels(Plan $plan, string $run, float $level): array
    {
        $strip = $plan->strip($plan->run($run)->strip);
        assert($strip !== null);

        return array_map(static fn($channel): Load => GroupLoad::for($strip, $channel, $level), $strip->channels);
    }

    /** Pixels past a share of the run get no data: they idle. */
    private function undriven(string $run, float $share, Plan $plan): void
    {
        $all = 0;
        foreach ($this->network->stretches as $s) {
            if ($s->run === $run) {
                $all += $s->groups;
            }
        }
        $last = (int) round($share * $all);
        $idle = self::pixels($plan, $run, 0.0);
        $stretches = [];
        foreach ($this->network->stretches as $s) {
            $lit = $last - $s->first;
            if ($s->run !== $run || $lit >= $s->groups) {
                $stretches[] = $s;
            } elseif ($lit <= 0) {
                $stretches[] = self::loaded($s, $idle);
            } else {
                $middle = [];
                foreach ($s->start as $t => $node) {
                    $middle[] = $this->network->node("{$s->prefix}_d{$last}_{$t}", $this->network->guesses[$node]);
                }
                $stretches[] = self::made($s, $s->loads, $s->first, $lit, $s->start, $middle);
                $stretches[] = self::made($s, $idle, $s->first + $lit, $s->groups - $lit, $middle, $s->end);
            }
        }
        $this->network->stretches = $stretches;
    }

    /** A section laid the wrong way round: its first terminal meets the end of the section before it, and the reverse behind it. */
    private function cross(string $run, int $section, Plan $plan): void
    {
        $groups = $plan->of($plan->run($run))->cutMarks()->groups ?? [];
        $first = array_sum(array_slice($groups, 0, $section - 1));
        $next = $first + ($groups[$section - 1] ?? 0);
        $this->strip(
            $run,
            static fn(Stretch $s): Stretch => $s->first >= $first && $s->first < $next
                ? self::made($s, $s->loads, $s->first, $s->groups, array_reverse($s->start), array_reverse($s->end))
                : $s,
        );
    }

    /**
     * @param  non-empty-list<Load>  $loads
     * @param  non-empty-list<int>  $start
     * @param  non-empty-list<int>  $end
     */
    private static function made(
        Stretch $s,
        array $loads,
        int $first,
        int $groups,
        array $start,
        array $end,
        float $rails = 1.0,
    ): Stretch {
        return new Stretch(
            run: $s->run,
            prefix: $s->prefix,
            first: $first,
            groups: $groups,
            pitch: $s->pitch,
            plusRail: $s->plusRail * $rails,
            returnRail: $s->returnRail * $rails,
            loads: $loads,
            start: $start,
            end: $end,
            numbers: $s->numbers,
        );
    }
}
