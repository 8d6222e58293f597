<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Circuit\Loads\ResistorLimited;
use EmberDusk\Measure\Copper;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/**
 * Turns a run of the plan with all that feeds it into a network: supply, trunk, controller, tails, strip.
 *
 * Every core of a cable is one resistor, joint + r(T) l + joint; the joints are soldered.
 */
final class Wiring
{
    /** Ohm of a soldered or crimped joint (common practice, no source). */
    public const SOLDER = 0.001;

    /** @var array<int, non-empty-list<int>> terminals by pad */
    private array $pads = [];

    private readonly string $prefix;

    private function __construct(
        private readonly Plan $plan,
        private readonly Run $run,
        private readonly Parts $parts,
        private readonly Conditions $conditions,
        private readonly Network $network,
    ) {
        $this->prefix = 'r_'.self::name($run->id);
    }

    public static function of(Plan $plan, Run $run, Parts $parts, Conditions $conditions = new Conditions): Network
    {
        $wiring = new self($plan, $run, $parts, $conditions, new Network);
        $wiring->lay();

        return $wiring->network;
    }

    /** An id as part of a node's name: there are dashes in ids and none in names, and underscores the other way round. */
    public static function name(string $id): string
    {
        return str_replace('-', '_', $id);
    }

    private function lay(): void
    {
        $net = $this->network;
        $supply = $this->parts->supply;
        $emf = $supply->volts * $this->conditions->supply;
        $s = self::name((string) $this->run->supply);
        $c = self::name((string) $this->run->controller);
        $plus = $net->node("{$s}_p", $emf);
        $net->sources[] = new Source($s, $plus, $emf, $supply->sourceOhms, $supply->limitAmps);

        $controller = $this->parts->controller;
        $in = $net->node("{$c}_p", $emf);
        $minus = $net->node("{$c}_m", 0.0);
        $this->cores($this->parts->trunk, [[$plus, $in], [0, $minus]]);
        if ($controller->standbyAmps > 0) {
            $net->draws[] = new Draw("{$c}_standby", $in, $minus, $controller->standbyAmps);
        }
        $out = [$net->node("{$c}_com", $emf)];
        $net->resistor("{$c}_com", (string) $this->run->controller, $in, $out[0], $controller->commonOhms);
        foreach ($this->parts->strip->channels as $n => $_) {
            $out[] = $net->node("{$c}_".($n + 1), 0.0);
            $net->resistor("{$c}_".($n + 1), (string) $this->run->controller, $out[$n + 1], $minus, $controller->channelOhms);
        }
        $this->strip($emf);
        foreach ($this->parts->tails as $id => $cable) {
            if ($id !== $this->conditions->openFeed) {
                $pad = $this->pads[$this->plan->feeds[$id]->pad];
                $this->cores($cable, array_map(static fn (int $from, int $to): array => [$from, $to], $out, $pad));
            }
        }
    }

    /** Pads that are cut or fed become nodes; between them lie stretches, between sections jumper leads. */
    private function strip(float $emf): void
    {
        $fed = [];
        foreach ($this->parts->tails as $id => $_) {
            $fed[$this->plan->feeds[$id]->pad] = true;
        }
        $marks = $this->parts->marks;
        $pad = 0;
        $group = 0;
        foreach ($marks->groups as $section => $count) {
            $previous = $this->pad($pad, $emf);
            $last = $pad;
            for ($n = 1; $n <= $count; $n++) {
                $pad++;
                if ($n === $count || isset($fed[$pad])) {
                    $next = $this->pad($pad, $emf);
                    $this->stretch($group, $pad - $last, $previous, $next);
                    $group += $pad - $last;
                    [$previous, $last] = [$next, $pad];
                }
            }
            if ($section < count($marks->groups) - 1) {
                $this->jumper($section, $previous, $this->pad($pad + 1, $emf), $marks->jumps[$section]);
                $pad++;
            }
        }
    }

    /**
     * @param  non-empty-list<int>  $start
     * @param  non-empty-list<int>  $end
     */
    private function stretch(int $first, int $groups, array $start, array $end): void
    {
        $strip = $this->parts->strip;
        $loads = array_map(static fn ($channel): ResistorLimited => new ResistorLimited(
            $strip->volts, $strip->nominalAmps($channel), $strip->leds, $strip->ledVolts, $strip->slope,
        ), $strip->channels);
        // Only rails reckoned from copper at 20 °C know what warmth does to them.
        $rails = $this->conditions->rail * ($strip->copperRails ? Copper::factor($this->plan->limits->cableCelsius) : 1.0);
        $this->network->stretches[] = new Stretch($this->prefix, $first, $groups, $strip->pitch,
            $strip->plusRail * $rails, $strip->returnRail * $rails, $loads, $start, $end);
    }

    /** @return non-empty-list<int> terminals */
    private function pad(int $pad, float $emf): array
    {
        if (! isset($this->pads[$pad])) {
            $terminals = [$this->network->node("{$this->prefix}_a{$pad}_p", $emf)];
            foreach ($this->parts->strip->channels as $n => $_) {
                $terminals[] = $this->network->node("{$this->prefix}_a{$pad}_".($n + 1), 0.0);
            }
            $this->pads[$pad] = $terminals;
        }

        return $this->pads[$pad];
    }

    /** @param  list<array{int, int}>  $ends of each core */
    private function cores(LaidCable $cable, array $ends): void
    {
        $kit = $this->plan->cable($cable->kit);
        $ohms = 2 * self::SOLDER + ($kit?->conductor->ohms($cable->length, $this->plan->limits->cableCelsius) ?? 0.0);
        foreach ($ends as $n => [$from, $to]) {
            $this->network->resistor(self::name($cable->id).'_'.($n + 1), $cable->id, $from, $to, $ohms);
        }
    }

    /**
     * A lead over a gap, of the tails' kind.
     *
     * @param  non-empty-list<int>  $from
     * @param  non-empty-list<int>  $to
     */
    private function jumper(int $section, array $from, array $to, float $length): void
    {
        $tail = $this->parts->tails[array_key_first($this->parts->tails)];
        $ohms = 2 * self::SOLDER + ($this->plan->cable($tail->kit)?->conductor->ohms($length, $this->plan->limits->cableCelsius) ?? 0.0);
        foreach ($from as $t => $node) {
            $this->network->resistor("{$this->prefix}_j{$section}_{$t}", 'jumper', $node, $to[$t], $ohms);
        }
    }
}
