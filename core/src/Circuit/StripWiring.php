<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Circuit\Loads\GroupLoad;
use EmberDusk\Kit\Connector;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Plan;
use EmberDusk\Survey\Copper;

/** Lays strips into a network: pads that are cut or fed become nodes; between them are stretches, between sections jumper leads. */
final class StripWiring
{
    /** @var array<string, array<int, array<int, int>>> nodes by run, pad and terminal; at a cut pad those of the zone after it */
    private array $pads = [];

    public function __construct(
        private readonly Plan $plan,
        private readonly Conditions $conditions,
        private readonly Phase $phase,
        private readonly Network $network,
    ) {}

    /** @return array<int, int>|null nodes by terminal of a pad that is cut or fed */
    public function terminals(string $run, int $pad): ?array
    {
        return $this->pads[$run][$pad] ?? null;
    }

    public function lay(string $run, WiredRun $parts): void
    {
        if ($parts->strip->switched()) {
            $channels = $this->phase->channels($parts->run->controller, count($parts->strip->channels));
        } else {
            $channels = [1];
        }
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
                if ($n === $count || isset($fed[$pad]) || $this->phase->changesAt($run, $group + $pad - $last)) {
                    $next = $this->pad($run, $channels, $pad, $emf);
                    // At a cut + this stretch ends at its own +; the returns continue.
                    if (in_array($pad, $parts->run->zones, true)) {
                        $end = [$this->network->node(Wiring::prefix($run) . "_a{$pad}_q", $emf)] + $next;
                    } else {
                        $end = $next;
                    }
                    $this->stretch(
                        run: $run,
                        strip: $parts->strip,
                        first: $group,
                        groups: $pad - $last,
                        start: $previous,
                        end: $end,
                    );
                    $group += $pad - $last;
                    [$previous, $last] = [$next, $pad];
                }
            }
            if ($section < count($parts->marks->groups) - 1) {
                $this->jumper(
                    run: $run,
                    parts: $parts,
                    section: $section,
                    from: $previous,
                    to: $this->pad($run, $channels, $pad + 1, $emf),
                    length: $parts->marks->jumps[$section],
                );
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
        // Only rails calculated from copper at 20 °C know what warmth does to them.
        $rails =
            $this->conditions->rail * ($strip->copperRails ? Copper::factor($this->plan->limits->cableCelsius) : 1.0);
        $level = $this->phase->level($run, $first);
        $level = $this->phase->graded($run) ? $level : min($this->plan->run($run)->cap, $level);
        $loads = $numbers = [];
        // A limit in the controller of pixels scales what they take; channels that are switched carry their full current in the on-time.
        foreach ($strip->channels as $n => $channel) {
            if (isset($start[$n + 1])) {
                $loads[] = GroupLoad::for($strip, $channel, $level);
                $numbers[] = $n + 1;
            }
        }
        $from = array_values($start);
        $to = array_values($end);
        if ($loads !== [] && $from !== [] && $to !== []) {
            $this->network->stretches[] = new Stretch(
                run: $run,
                prefix: Wiring::prefix($run),
                first: $first,
                groups: $groups,
                pitch: $strip->pitch,
                plusRail: $strip->plusRail * $rails,
                returnRail: $strip->returnRail * $rails,
                loads: $loads,
                start: $from,
                end: $to,
                numbers: $numbers,
            );
        }
    }

    /**
     * @param  list<int>  $channels  that conduct
     * @return array<int, int> nodes by terminal
     */
    private function pad(string $run, array $channels, int $pad, float $emf): array
    {
        if (!isset($this->pads[$run][$pad])) {
            $name = Wiring::prefix($run) . "_a{$pad}";
            $terminals = [$this->network->node("{$name}_p", $emf)];
            foreach ($channels as $n) {
                $terminals[$n] = $this->network->node("{$name}_{$n}", 0.0);
            }
            $this->pads[$run][$pad] = $terminals;
        }

        return $this->pads[$run][$pad];
    }

    /**
     * A lead over a gap, of the tails' kind, soldered.
     *
     * @param  array<int, int>  $from  nodes by terminal
     * @param  array<int, int>  $to
     */
    private function jumper(string $run, WiredRun $parts, int $section, array $from, array $to, float $length): void
    {
        $ohms =
            2 * Connector::SOLDERED +
            $this->plan->ways()->copper($parts->tails[array_key_first($parts->tails)], $length);
        foreach ($from as $t => $node) {
            $this->network->resistor(
                name: Wiring::prefix($run) . "_j{$section}_{$t}",
                part: 'jumper',
                from: $node,
                to: $to[$t],
                ohms: $ohms,
            );
        }
    }
}
