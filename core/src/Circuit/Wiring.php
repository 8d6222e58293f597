<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Circuit\Loads\ConstantPower;
use EmberDusk\Circuit\Loads\GroupLoad;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Strip;
use EmberDusk\Measure\Copper;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;

/**
 * Turns an island of the plan into a network: supplies, trunks, controllers, tails, strips, fixtures.
 *
 * Every core of a cable is one resistor, joint + r(T) l + joint. Terminals are numbered: 0 is +, 1 and up are minus or channels.
 */
final class Wiring
{
    /** Ohm of a soldered or crimped joint (common practice, no source). */
    public const SOLDER = 0.001;

    /** @var array<string, array<int, int>> nodes by terminal: what a cable can begin at, supplies, controllers, splices */
    private array $outputs = [];

    /** @var array<string, array<int, int>> + and - of controllers and fixtures */
    private array $inputs = [];

    /** @var array<string, array<int, array<int, int>>> nodes by run, pad and terminal; at a cut pad those of the zone after it */
    private array $pads = [];

    private function __construct(
        private readonly Plan $plan,
        private readonly Conditions $conditions,
        private readonly Phase $phase,
        private readonly Network $network,
    ) {
    }

    public static function of(Plan $plan, Island $island, Conditions $conditions = new Conditions, Phase $phase = new Phase): Network
    {
        $wiring = new self($plan, $conditions, $phase, new Network);
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
        foreach (array_keys($island->fixtures) as $id) {
            $this->fixture($id);
        }
        $cables = $island->cables($this->plan);
        foreach ($cables as $cable) {
            $this->splice($cable->to, $cable->from, $cables);
        }
        foreach ($cables as $cable) {
            $to = $this->inputs[$cable->to] ?? $this->outputs[$cable->to] ?? null;
            if ($to === null && $cable->to !== $this->conditions->openFeed && isset($this->plan->feeds[$cable->to])) {
                $feed = $this->plan->feeds[$cable->to];
                $to = $this->pads[$feed->run][$feed->pad] ?? null;
            }
            if ($to !== null) {
                $this->cores($cable, $this->outputs[$cable->from], $to);
            }
        }
        $this->repeaters($island);
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
        foreach ($this->outputs[$from] as $t => $like) {
            $this->outputs[$id][$t] = $this->network->node($name.'_'.($t === 0 ? 'p' : $t), $this->network->guesses[$like]);
        }
    }

    private function supply(string $id, bool $ground): void
    {
        $supply = $this->plan->supply($id);
        if ($supply === null) {
            return;
        }
        $emf = $this->conditions->emf($supply);
        $s = self::name($id);
        $plus = $this->network->node("{$s}_p", $emf);
        $minus = $ground ? 0 : $this->network->node("{$s}_m", 0.0);
        $this->network->sources[] = new Source($s, $plus, $emf, $supply->sourceOhms, $supply->limitAmps, $minus);
        $this->outputs[$id] = [$plus, $minus];
    }

    /** Its outputs are as many as the strips on it have channels that conduct. */
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
                $emf = $this->conditions->emf($parts->supply);
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
        foreach ($channels === 0 ? [] : $this->phase->channels($id, $channels) as $n) {
            $out[$n] = $net->node("{$c}_{$n}", 0.0);
            $net->resistor("{$c}_{$n}", $id, $out[$n], $minus, $controller->channelOhms);
        }
        $this->outputs[$id] = $out;
    }

    private function fixture(string $id): void
    {
        $fitting = $this->plan->fixtures[$id];
        $fixture = $this->plan->fixture($fitting->kit);
        if ($fixture !== null) {
            $x = self::name($id);
            $plus = $this->network->node("{$x}_p", $fixture->volts);
            $minus = $this->network->node("{$x}_m", 0.0);
            $this->inputs[$id] = [$plus, $minus];
            $this->network->points[] = new Point($id, $x, $plus, $minus, new ConstantPower($fixture->watts * $fitting->count, $fixture->leastVolts));
        }
    }

    /** Each loads the end of what it copies; where its entry says that grounds are not apart, both supplies' minus are one. */
    private function repeaters(Island $island): void
    {
        foreach ($this->plan->runs as $run) {
            $before = $this->plan->repeated($run);
            $repeater = $this->plan->controller($run->controller);
            if ($before === null || $repeater === null || ! isset($island->parts[$before->id])) {
                continue;
            }
            $c = self::name((string) $run->controller);
            $end = $this->pads[$before->id][$island->parts[$before->id]->marks->lastPad()] ?? [];
            foreach (array_slice($end, 1, null, true) as $t => $node) {
                $this->network->resistor("{$c}_in{$t}", "{$run->controller}:in", $end[0], $node, Controller::INPUT_OHMS);
            }
            if (! $repeater->groundsApart && isset($this->inputs[(string) $run->controller], $this->inputs[(string) $before->controller])) {
                $this->network->resistor("{$c}_link", "{$run->controller}:in", $this->inputs[(string) $run->controller][1], $this->inputs[(string) $before->controller][1], self::SOLDER);
            }
        }
    }

    /** Pads that are cut or fed become nodes; between them lie stretches, between sections jumper leads. */
    private function strip(string $run, Parts $parts): void
    {
        $channels = $parts->strip->switched() ? $this->phase->channels($parts->run->controller, count($parts->strip->channels)) : [1];
        if ($channels === []) {
            return;
        }
        $fed = array_fill_keys($parts->run->zones, true);
        foreach (array_keys($parts->tails) as $id) {
            $fed[$this->plan->feeds[$id]->pad] = true;
        }
        $emf = $this->conditions->emf($parts->supply);
        $pad = $group = 0;
        foreach ($parts->marks->groups as $section => $count) {
            $previous = $this->pad($run, $channels, $pad, $emf);
            $last = $pad;
            for ($n = 1; $n <= $count; $n++) {
                $pad++;
                if ($n === $count || isset($fed[$pad])) {
                    $next = $this->pad($run, $channels, $pad, $emf);
                    // Where the + is cut, this stretch ends at a + of its own; the returns go through.
                    $end = in_array($pad, $parts->run->zones, true) ? [$this->network->node(self::prefix($run)."_a{$pad}_q", $emf)] + $next : $next;
                    $this->stretch($run, $parts->strip, $group, $pad - $last, $previous, $end);
                    $group += $pad - $last;
                    [$previous, $last] = [$next, $pad];
                }
            }
            if ($section < count($parts->marks->groups) - 1) {
                $this->jumper($run, $parts, $section, $previous, $this->pad($run, $channels, $pad + 1, $emf), $parts->marks->jumps[$section]);
                $pad++;
            }
        }
    }

    /**
     * @param  array<int, int>  $start  nodes by terminal
     * @param  array<int, int>  $end
     */
    private function stretch(string $run, Strip $strip, int $first, int $groups, array $start, array $end): void
    {
        // Only rails reckoned from copper at 20 °C know what warmth does to them.
        $rails = $this->conditions->rail * ($strip->copperRails ? Copper::factor($this->plan->limits->cableCelsius) : 1.0);
        $loads = $numbers = [];
        // A limit in the controller of pixels scales what they take; channels that are switched carry their full current in the on-time.
        foreach ($strip->channels as $n => $channel) {
            if (isset($start[$n + 1])) {
                $loads[] = GroupLoad::of($strip, $channel, min($this->plan->run($run)->cap, $this->phase->level($run)));
                $numbers[] = $n + 1;
            }
        }
        $from = array_values($start);
        $to = array_values($end);
        if ($loads !== [] && $from !== [] && $to !== []) {
            $this->network->stretches[] = new Stretch($run, self::prefix($run), $first, $groups, $strip->pitch,
                $strip->plusRail * $rails, $strip->returnRail * $rails, $loads, $from, $to, $numbers);
        }
    }

    /**
     * @param  list<int>  $channels  that conduct
     * @return array<int, int> nodes by terminal
     */
    private function pad(string $run, array $channels, int $pad, float $emf): array
    {
        if (! isset($this->pads[$run][$pad])) {
            $name = self::prefix($run)."_a{$pad}";
            $terminals = [$this->network->node("{$name}_p", $emf)];
            foreach ($channels as $n) {
                $terminals[$n] = $this->network->node("{$name}_{$n}", 0.0);
            }
            $this->pads[$run][$pad] = $terminals;
        }

        return $this->pads[$run][$pad];
    }

    /**
     * One resistor for each core that both ends have.
     *
     * @param  array<int, int>  $from  nodes by terminal
     * @param  array<int, int>  $to
     */
    private function cores(LaidCable $cable, array $from, array $to): void
    {
        $joint = $this->plan->connector($cable->joint)->ohms ?? self::SOLDER;
        $ohms = 2 * $joint + $this->plan->copper($cable, $cable->length);
        foreach (array_intersect_key($from, $to) as $t => $node) {
            $this->network->resistor(self::name($cable->id).'_'.($t + 1), $cable->id, $node, $to[$t], $ohms);
        }
    }

    /**
     * A lead over a gap, of the tails' kind, soldered.
     *
     * @param  array<int, int>  $from  nodes by terminal
     * @param  array<int, int>  $to
     */
    private function jumper(string $run, Parts $parts, int $section, array $from, array $to, float $length): void
    {
        $ohms = 2 * self::SOLDER + $this->plan->copper($parts->tails[array_key_first($parts->tails)], $length);
        foreach ($from as $t => $node) {
            $this->network->resistor(self::prefix($run)."_j{$section}_{$t}", 'jumper', $node, $to[$t], $ohms);
        }
    }
}
