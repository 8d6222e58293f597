<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Circuit\Loads\ConstantPower;
use EmberDusk\Kit\Connector;
use EmberDusk\Kit\Controller;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;

/**
 * Turns an island of the plan into a network: supplies, trunks, controllers, tails, strips, fixtures.
 *
 * Every core of a cable is one resistor, joint + r(T) l + joint. Terminals are numbered: 0 is +, 1 and up are minus or channels.
 */
final class Wiring
{
    /** @var array<string, array<int, int>> nodes by terminal of possible cable starts: supplies, controllers, splices */
    private array $outputs = [];

    /** @var array<string, array<int, int>> + and - of controllers and fixtures */
    private array $inputs = [];

    private readonly StripWiring $strips;

    private function __construct(
        private readonly Plan $plan,
        private readonly Conditions $conditions,
        private readonly Phase $phase,
        private readonly Network $network,
    ) {
        $this->strips = new StripWiring($plan, $conditions, $phase, $network);
    }

    public static function for(
        Plan $plan,
        Island $island,
        Conditions $conditions = new Conditions(),
        Phase $phase = new Phase(),
    ): Network {
        $wiring = new self($plan, $conditions, $phase, new Network());
        $wiring->lay($island);

        return $wiring->network;
    }

    /** An id as part of a node's name: there are dashes in ids and none in names, and underscores the other way round. */
    public static function name(string $id): string
    {
        return str_replace('-', '_', $id);
    }

    /** Prefix of a run's node names. */
    public static function prefix(string $run): string
    {
        return 'r_' . self::name($run);
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
            $this->strips->lay($id, $parts);
        }
        foreach (array_keys($island->fixtures) as $id) {
            $this->fixture($id);
        }
        $cables = $island->cables($this->plan);
        foreach ($cables as $cable) {
            $this->splice($cable->to, $cable->from, $cables);
        }
        foreach ($cables as $cable) {
            $to = $this->inputs[$cable->to] ?? ($this->outputs[$cable->to] ?? null);
            if ($to === null && $cable->to !== $this->conditions->openFeed && isset($this->plan->feeds[$cable->to])) {
                $feed = $this->plan->feeds[$cable->to];
                $to = $this->strips->terminals($feed->run, $feed->pad);
            }
            if ($to !== null) {
                $this->cores($cable, $this->outputs[$cable->from], $to);
            }
        }
        $this->repeaters($island);
    }

    /**
     * A splice has as many nodes as its source has terminals.
     *
     * @param  array<string, LaidCable>  $cables
     */
    private function splice(string $id, string $from, array $cables): void
    {
        if (!isset($this->plan->splices[$id]) || isset($this->outputs[$id])) {
            return;
        }
        if (!isset($this->outputs[$from])) {
            foreach ($cables as $cable) {
                if ($cable->to === $from) {
                    $this->splice($from, $cable->from, $cables);
                }
            }
        }
        $name = self::name($id);
        foreach ($this->outputs[$from] as $t => $like) {
            $this->outputs[$id][$t] = $this->network->node(
                $name . '_' . ($t === 0 ? 'p' : $t),
                $this->network->guesses[$like],
            );
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
        $minus = !$ground ? $this->network->node("{$s}_m", 0.0) : 0;
        $this->network->sources[] = new SourceCurrent(
            name: $s,
            plus: $plus,
            emf: $emf,
            ohms: $supply->sourceOhms,
            limit: $supply->limitAmps,
            minus: $minus,
        );
        $this->outputs[$id] = [$plus, $minus];
    }

    /** Its outputs are as many as the strips on it have channels that conduct; a board passes both poles on. */
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
        $net->resistor(name: "{$c}_com", part: $id, from: $in, to: $out[0], ohms: $controller->commonOhms);
        if ($channels !== 0) {
            foreach ($controller->pixels !== null ? [1] : $this->phase->channels($id, $channels) as $n) {
                $out[$n] = $net->node("{$c}_{$n}", 0.0);
                $net->resistor(
                    name: "{$c}_{$n}",
                    part: $id,
                    from: $out[$n],
                    to: $minus,
                    ohms: $controller->channelOhms,
                );
            }
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
            $this->network->points[] = new FixtureGroup(
                part: $id,
                name: $x,
                plus: $plus,
                minus: $minus,
                load: new ConstantPower($fixture->watts * $fitting->count, $fixture->leastVolts),
            );
        }
    }

    /** Each loads the end of its leader; unless its entry says that grounds are separate, both supplies' minus are one. */
    private function repeaters(Island $island): void
    {
        foreach ($this->plan->runs as $run) {
            $before = $this->plan->of($run)->before();
            $repeater = $this->plan->controller($run->controller);
            if ($before === null || $repeater === null || !isset($island->parts[$before->id])) {
                continue;
            }
            $c = self::name((string) $run->controller);
            $end = $this->strips->terminals($before->id, $island->parts[$before->id]->marks->lastPad()) ?? [];
            foreach (array_slice($end, 1, null, true) as $t => $node) {
                $this->network->resistor(
                    name: "{$c}_in{$t}",
                    part: "{$run->controller}:in",
                    from: $end[0],
                    to: $node,
                    ohms: Controller::INPUT_OHMS,
                );
            }
            if (
                !$repeater->groundsApart &&
                isset($this->inputs[(string) $run->controller], $this->inputs[(string) $before->controller])
            ) {
                $this->network->resistor(
                    name: "{$c}_link",
                    part: "{$run->controller}:in",
                    from: $this->inputs[(string) $run->controller][1],
                    to: $this->inputs[(string) $before->controller][1],
                    ohms: Connector::SOLDERED,
                );
            }
        }
    }

    /**
     * One resistor for each core that both ends have.
     *
     * @param  array<int, int>  $from  nodes by terminal
     * @param  array<int, int>  $to
     */
    private function cores(LaidCable $cable, array $from, array $to): void
    {
        $ohms = $this->plan->ways()->core($cable);
        foreach (array_intersect_key($from, $to) as $t => $node) {
            $this->network->resistor(
                name: self::name($cable->id) . '_' . ($t + 1),
                part: $cable->id,
                from: $node,
                to: $to[$t],
                ohms: $ohms,
            );
        }
    }
}
