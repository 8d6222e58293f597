<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Circuit\Loads\ConstantCurrent;
use EmberDusk\Circuit\Loads\ResistorLimited;
use EmberDusk\Kit\Channel;
use EmberDusk\Kit\Strip;
use EmberDusk\Measure\Copper;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;

/**
 * Turns an island of the plan into a network: supplies, trunks, controllers, tails, strips.
 *
 * Every core of a cable is one resistor, joint + r(T) l + joint; the joints are soldered.
 */
final class Wiring
{
    /** Ohm of a soldered or crimped joint (common practice, no source). */
    public const SOLDER = 0.001;

    /** @var array<string, non-empty-list<int>> what a cable can begin at: + and - of supplies, common and channels of controllers */
    private array $outputs = [];

    /** @var array<string, non-empty-list<int>> + and - of controllers */
    private array $inputs = [];

    /** @var array<string, array<int, non-empty-list<int>>> terminals by run and pad; at a cut pad those of the zone after it */
    private array $pads = [];

    private function __construct(
        private readonly Plan $plan,
        private readonly Conditions $conditions,
        private readonly Network $network,
    ) {
    }

    public static function of(Plan $plan, Island $island, Conditions $conditions = new Conditions): Network
    {
        $wiring = new self($plan, $conditions, new Network);
        $wiring->lay($island);

        return $wiring->network;
    }

    /** An id as part of a node's name: there are dashes in ids and none in names, and underscores the other way round. */
    public static function name(string $id): string
    {
        return str_replace('-', '_', $id);
    }

    /** What the names of a run's nodes begin with. */
    public static function prefix(string $run): string
    {
        return 'r_'.self::name($run);
    }

    private function lay(Island $island): void
    {
        foreach ($island->supplies as $n => $id) {
            $this->supply($id, $n === 0);
        }
        foreach ($island->controllers as $id) {
            $this->controller($id, $island);
        }
        foreach ($island->parts as $id => $parts) {
            $this->strip($id, $parts);
        }
        $cables = $island->cables($this->plan);
        foreach ($cables as $cable) {
            $this->splice($cable->to, $cable->from, $cables);
        }
        foreach ($cables as $cable) {
            $from = $this->outputs[$cable->from];
            $to = $this->inputs[$cable->to] ?? $this->outputs[$cable->to] ?? null;
            if ($to === null && $cable->to !== $this->conditions->openFeed) {
                $feed = $this->plan->feeds[$cable->to];
                $to = $this->pads[$feed->run][$feed->pad];
            }
            if ($to !== null) {
                $cores = min(count($from), count($to));
                $this->cores($cable, array_map(static fn (int $a, int $b): array => [$a, $b], array_slice($from, 0, $cores), array_slice($to, 0, $cores)));
            }
        }
    }

    /**
     * A splice has as many nodes as what it hangs on has terminals.
     *
     * @param  array<string, LaidCable>  $cables
     */
    private function splice(string $id, string $from, array $cables): void
    {
        if (! isset($this->plan->splices[$id]) || isset($this->outputs[$id])) {
            return;
        }
        if (! isset($this->outputs[$from])) {
            foreach ($cables as $cable) {
                if ($cable->to === $from) {
                    $this->splice($from, $cable->from, $cables);
                }
            }
        }
        $name = self::name($id);
        $nodes = [];
        foreach ($this->outputs[$from] as $t => $like) {
            $nodes[] = $this->network->node($name.'_'.($t === 0 ? 'p' : $t), $this->network->guesses[$like]);
        }
        $this->outputs[$id] = $nodes;
    }

    private function supply(string $id, bool $ground): void
    {
        $supply = $this->plan->supply($id);
        if ($supply === null) {
            return;
        }
        $emf = $supply->volts * $this->conditions->supply;
        $s = self::name($id);
        $plus = $this->network->node("{$s}_p", $emf);
        $minus = $ground ? 0 : $this->network->node("{$s}_m", 0.0);
        $this->network->sources[] = new Source($s, $plus, $emf, $supply->sourceOhms, $supply->limitAmps, $minus);
        $this->outputs[$id] = [$plus, $minus];
    }

    /** Its outputs are as many as the strips on it have channels. */
    private function controller(string $id, Island $island): void
    {
        $controller = $this->plan->controller($id);
        if ($controller === null) {
            return;
        }
        $channels = 0;
        $emf = 0.0;
        foreach ($island->parts as $parts) {
            if ($parts->run->controller === $id && $parts->controller !== null) {
                $channels = max($channels, count($parts->strip->channels));
                $emf = $parts->supply->volts * $this->conditions->supply;
            }
        }
        $net = $this->network;
        $c = self::name($id);
        $in = $net->node("{$c}_p", $emf);
        $minus = $net->node("{$c}_m", 0.0);
        $this->inputs[$id] = [$in, $minus];
        if ($controller->standbyAmps > 0) {
            $net->draws[] = new Draw("{$c}_standby", $in, $minus, $controller->standbyAmps);
        }
        $out = [$net->node("{$c}_com", $emf)];
        $net->resistor("{$c}_com", $id, $in, $out[0], $controller->commonOhms);
        for ($n = 1; $n <= $channels; $n++) {
            $out[] = $net->node("{$c}_{$n}", 0.0);
            $net->resistor("{$c}_{$n}", $id, $out[$n], $minus, $controller->channelOhms);
        }
        $this->outputs[$id] = $out;
    }

    /** Pads that are cut or fed become nodes; between them lie stretches, between sections jumper leads. */
    private function strip(string $run, Parts $parts): void
    {
        $fed = array_fill_keys($parts->run->zones, true);
        foreach (array_keys($parts->tails) as $id) {
            $fed[$this->plan->feeds[$id]->pad] = true;
        }
        $emf = $parts->supply->volts * $this->conditions->supply;
        $pad = $group = 0;
        foreach ($parts->marks->groups as $section => $count) {
            $previous = $this->pad($run, $parts, $pad, $emf);
            $last = $pad;
            for ($n = 1; $n <= $count; $n++) {
                $pad++;
                if ($n === $count || isset($fed[$pad])) {
                    $next = $this->pad($run, $parts, $pad, $emf);
                    // Where the + is cut, this stretch ends at a + of its own; the returns go through.
                    $end = in_array($pad, $parts->run->zones, true) ? [$this->network->node(self::prefix($run)."_a{$pad}_q", $emf), ...array_slice($next, 1)] : $next;
                    $this->stretch($run, $parts->strip, $group, $pad - $last, $previous, $end);
                    $group += $pad - $last;
                    [$previous, $last] = [$next, $pad];
                }
            }
            if ($section < count($parts->marks->groups) - 1) {
                $this->jumper($run, $parts, $section, $previous, $this->pad($run, $parts, $pad + 1, $emf), $parts->marks->jumps[$section]);
                $pad++;
            }
        }
    }

    /**
     * @param  non-empty-list<int>  $start
     * @param  non-empty-list<int>  $end
     */
    private function stretch(string $run, Strip $strip, int $first, int $groups, array $start, array $end): void
    {
        // Only rails reckoned from copper at 20 °C know what warmth does to them.
        $rails = $this->conditions->rail * ($strip->copperRails ? Copper::factor($this->plan->limits->cableCelsius) : 1.0);
        $this->network->stretches[] = new Stretch($run, self::prefix($run), $first, $groups, $strip->pitch,
            $strip->plusRail * $rails, $strip->returnRail * $rails, array_map(static fn (Channel $c): Load => self::load($strip, $c), $strip->channels), $start, $end);
    }

    private static function load(Strip $strip, Channel $channel): Load
    {
        return $strip->pixels === null
            ? new ResistorLimited($strip->volts, $strip->nominalAmps($channel), $strip->leds, $channel->ledVolts ?? $strip->ledVolts, $strip->slope)
            : new ConstantCurrent($strip->pixels->amps + $strip->pixels->idle, $strip->pixels->turnOn, $strip->pixels->full);
    }

    /** @return non-empty-list<int> terminals */
    private function pad(string $run, Parts $parts, int $pad, float $emf): array
    {
        if (! isset($this->pads[$run][$pad])) {
            $name = self::prefix($run)."_a{$pad}";
            $terminals = [$this->network->node("{$name}_p", $emf)];
            foreach ($parts->strip->channels as $n => $_) {
                $terminals[] = $this->network->node("{$name}_".($n + 1), 0.0);
            }
            $this->pads[$run][$pad] = $terminals;
        }

        return $this->pads[$run][$pad];
    }

    /** @param  list<array{int, int}>  $ends of each core */
    private function cores(LaidCable $cable, array $ends): void
    {
        $ohms = $this->ohms($cable, $cable->length);
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
    private function jumper(string $run, Parts $parts, int $section, array $from, array $to, float $length): void
    {
        $ohms = $this->ohms($parts->tails[array_key_first($parts->tails)], $length);
        foreach ($from as $t => $node) {
            $this->network->resistor(self::prefix($run)."_j{$section}_{$t}", 'jumper', $node, $to[$t], $ohms);
        }
    }

    private function ohms(LaidCable $cable, float $length): float
    {
        return 2 * self::SOLDER + ($this->plan->cable($cable->kit)?->conductor->ohms($length, $this->plan->limits->cableCelsius) ?? 0.0);
    }
}
