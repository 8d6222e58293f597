<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Meter;

use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\WiredRun;
use EmberDusk\Circuit\Wiring;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;

/** Every place of an island where a meter can be held: terminals, ends of cables before their joints, across joints, pads, through cores. */
final readonly class MeterSpots
{
    /** Places along a stretch of strip that are offered; any other pad can be named. */
    private const ALONG = 4;

    private function __construct(private Plan $plan, private Island $island) {}

    /** @return list<MeterSpot> that are offered */
    public static function for(Plan $plan, Island $island): array
    {
        $spots = new self($plan, $island);
        $all = [];
        foreach ($island->supplies as $id) {
            $all[] = $spots->supply($id, 'V');
            $all[] = $spots->supply($id, 'A');
        }
        foreach ($island->controllers as $id) {
            array_push($all, ...$spots->controller($id));
        }
        foreach ($island->cables($plan) as $cable) {
            array_push($all, ...(new CableSpots($plan, $island))->for($cable));
        }
        foreach ($island->parts as $parts) {
            array_push($all, ...$spots->run($parts));
        }
        foreach (array_keys($island->fixtures) as $id) {
            $name = Wiring::name($id);
            $all[] = new MeterSpot(
                id: $id,
                unit: 'V',
                of: $id,
                words: strtoupper($id) . ', the terminals of its fixtures',
                nodes: ["{$name}_p", "{$name}_m"],
            );
        }

        return $all;
    }

    /**
     * One by its id; a pad is at the mark nearest to the metres that are named.
     *
     * @throws InvalidInput when there is no such place (any more)
     */
    public static function named(Plan $plan, Island $island, string $id): MeterSpot
    {
        if (preg_match('/^([a-z0-9-]+)@([0-9]+(?:\.[0-9]+)?):([1-6])$/', $id, $m) === 1) {
            $parts = $island->parts[$m[1]] ?? null;
            if ($parts !== null && (int) $m[3] <= count($parts->strip->channels)) {
                return (new self($plan, $island))->pad($parts, (float) $m[2], (int) $m[3]);
            }
        }
        foreach (self::for($plan, $island) as $spot) {
            if ($spot->id === $id) {
                return $spot;
            }
        }
        throw new InvalidInput("The planned wiring has no place {$id}.", '/spot');
    }

    private function supply(string $id, string $unit): MeterSpot
    {
        $name = Wiring::name($id);
        $minus = $id !== $this->island->supplies[0] ? "{$name}_m" : '0';
        $says = strtoupper($id);

        if ($unit === 'V') {
            return new MeterSpot(
                id: $id,
                unit: 'V',
                of: $id,
                words: "{$says}, its terminals",
                nodes: ["{$name}_p", $minus],
            );
        }

        return new MeterSpot(id: "{$id}:amps", unit: 'A', of: $id, words: "output current of {$says}", through: $name);
    }

    /** @return list<MeterSpot> */
    private function controller(string $id): array
    {
        $name = Wiring::name($id);
        $says = strtoupper($id);
        $spots = [
            new MeterSpot(
                id: "{$id}:in",
                unit: 'V',
                of: $id,
                words: "{$says}, its input",
                nodes: ["{$name}_p", "{$name}_m"],
            ),
        ];
        foreach ($this->channels($id) as $n => $colour) {
            $spots[] = new MeterSpot(
                id: "{$id}:out:{$n}",
                unit: 'V',
                of: $id,
                words: "{$says}, + to output {$n} ({$colour})",
                nodes: ["{$name}_com", "{$name}_{$n}"],
            );
        }

        return $spots;
    }

    /** @return array<int, string> names of the colours of a controller's outputs, from 1 */
    private function channels(string $controller): array
    {
        $names = [];
        foreach ($this->island->parts as $parts) {
            if ($parts->run->controller === $controller && $parts->controller !== null) {
                foreach ($parts->strip->channels as $n => $channel) {
                    $names[$n + 1] ??= $channel->name;
                }
            }
        }

        return $names;
    }

    /** @return list<MeterSpot> */
    private function run(WiredRun $parts): array
    {
        $at = [];
        $before = 0;
        $fed = array_map(fn(string $f): int => $this->plan->feeds[$f]->pad, array_keys($parts->tails));
        $ends = [0];
        foreach ($parts->marks->groups as $count) {
            $before += $count;
            $ends[] = $before;
        }
        foreach ($fed as $pad) {
            $ends[] = self::group($parts, $pad);
        }
        $ends = array_values(array_unique($ends));
        sort($ends);
        foreach ($ends as $n => $end) {
            $at[$end] = true;
            $next = $ends[$n + 1] ?? null;
            for ($k = 1; $next !== null && $k < self::ALONG; $k++) {
                $at[(int) round($end + (($next - $end) * $k) / self::ALONG)] = true;
            }
        }
        $spots = [];
        foreach (array_keys($at) as $group) {
            foreach (array_keys($parts->strip->channels) as $c) {
                $spots[] = $this->pad($parts, $group * $parts->strip->pitch, $c + 1);
            }
        }

        $prefix = Wiring::prefix($parts->run->id);
        array_push($spots, ...$this->rails($parts, $ends));
        foreach (array_keys($parts->marks->jumps) as $section) {
            for ($core = 0; $core <= count($parts->strip->channels); $core++) {
                foreach (['from' => 'a', 'to' => 'b'] as $side => $letter) {
                    $of = $core !== 0 ? "return {$core}" : '+';
                    $piece = $side === 'from' ? $section + 1 : $section + 2;
                    $spots[] = new MeterSpot(
                        id: sprintf('%s:%s%d:%d', $parts->run->id, $side, $section + 1, $core + 1),
                        unit: 'V',
                        of: $parts->run->id,
                        words: "{$parts->run->name()}, across the joint of {$of} at piece {$piece}",
                        fine: true,
                        along: ["{$prefix}_j{$section}_{$core}_{$letter}"],
                        sign: $core === 0 ? 1.0 : -1.0,
                    );
                }
            }
        }

        return $spots;
    }

    /**
     * Along the + rail, from one pad with something on it to the next.
     *
     * @param  list<int>  $ends  groups before each
     * @return list<MeterSpot>
     */
    private function rails(WiredRun $parts, array $ends): array
    {
        $spots = [];
        $prefix = Wiring::prefix($parts->run->id);
        foreach (array_slice($ends, 0, -1) as $n => $from) {
            $to = $ends[$n + 1];
            $section = self::section($parts, $from);
            $spots[] = new MeterSpot(
                id: sprintf('%s:rail%d', $parts->run->id, $n + 1),
                unit: 'V',
                of: $parts->run->id,
                words: sprintf(
                    '%s, along its + rail from %s to %s',
                    $parts->run->name(),
                    $this->plan->terms->say($from * $parts->strip->pitch),
                    $this->plan->terms->say($to * $parts->strip->pitch),
                ),
                nodes: [sprintf('%s_a%d_p', $prefix, $from + $section), sprintf('%s_a%d_p', $prefix, $to + $section)],
                metres: $from * $parts->strip->pitch,
                fine: true,
            );
        }

        return $spots;
    }

    /** The section, from 0, that begins at or holds a group: pads count one more for each cut before it. */
    private static function section(WiredRun $parts, int $group): int
    {
        $before = 0;
        foreach ($parts->marks->groups as $section => $count) {
            $before += $count;
            if ($group < $before) {
                return $section;
            }
        }

        return count($parts->marks->groups) - 1;
    }

    /** Groups before a pad: where a strip is cut, two pads are at one place. */
    private static function group(WiredRun $parts, int $pad): int
    {
        $before = 0;
        foreach ($parts->marks->groups as $section => $count) {
            if ($pad - $section <= $before + $count) {
                return $pad - $section;
            }
            $before += $count;
        }

        return $before;
    }

    private function pad(WiredRun $parts, float $metres, int $channel): MeterSpot
    {
        $group = min((int) round($metres / $parts->strip->pitch), array_sum($parts->marks->groups));
        $at = $group * $parts->strip->pitch;
        $colour = $parts->strip->channels[$channel - 1]->name;

        return new MeterSpot(
            id: sprintf('%s@%.2f:%d', $parts->run->id, $at, $channel),
            unit: 'V',
            of: $parts->run->id,
            words: "{$parts->run->name()}, pads at {$this->plan->terms->say($at)}, + to {$colour}",
            pad: new PadSpot($parts->run->id, (float) $group, $channel),
            metres: $at,
        );
    }
}
