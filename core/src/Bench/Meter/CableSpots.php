<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Meter;

use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\Wiring;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;

/** Meter positions on a cable: through and along its cores, across its joints, at its bare wires. */
final readonly class CableSpots
{
    public function __construct(private Plan $plan, private Island $island) {}

    /** Contents of a core: the first is +. */
    public static function core(int $core): string
    {
        if ($core === 1) {
            return '+';
        }

        return 'return ' . ($core - 1);
    }

    /** @return list<MeterSpot> */
    public function for(LaidCable $cable): array
    {
        $name = Wiring::name($cable->id);
        $says = strtoupper($cable->id);
        $ends = ['from' => strtoupper($cable->from), 'to' => strtoupper($cable->to)];
        $letter = ['from' => 'a', 'to' => 'b'];
        $spots = [];
        for ($core = 1; $core <= $this->cores($cable); $core++) {
            $of = self::core($core);
            $sign = $core === 1 ? 1.0 : -1.0;
            $spots[] = new MeterSpot(
                id: "{$cable->id}:amps:{$core}",
                unit: 'A',
                of: $cable->id,
                words: "{$says}, through its core of {$of}",
                through: "{$name}_{$core}",
                sign: $sign,
            );
            $spots[] = new MeterSpot(
                id: "{$cable->id}:drop:{$core}",
                unit: 'V',
                of: $cable->id,
                words: "{$says}, along its core of {$of} from {$ends['from']} to {$ends['to']}, terminal to terminal",
                fine: true,
                along: ["{$name}_{$core}_a", "{$name}_{$core}", "{$name}_{$core}_b"],
                sign: $sign,
            );
            foreach ($ends as $end => $at) {
                $wire = "{$name}_{$core}_{$letter[$end]}";
                $spots[] = new MeterSpot(
                    id: "{$cable->id}:{$end}:{$core}",
                    unit: 'V',
                    of: $cable->id,
                    words: "across the joint of {$of} of {$says} at {$at}",
                    fine: true,
                    along: [$wire],
                    sign: $sign,
                );
                if ($core > 1) {
                    $spots[] = new MeterSpot(
                        id: "{$cable->id}:{$end}-wire:{$core}",
                        unit: 'V',
                        of: $cable->id,
                        words: "{$says}, bare wire at {$at} before its joints, + to {$of}",
                        nodes: ["{$name}_1_{$letter[$end]}", $wire],
                    );
                }
            }
        }

        return $spots;
    }

    /** Conducting cores: as many as its end has terminals. */
    private function cores(LaidCable $cable): int
    {
        foreach ($this->island->parts as $parts) {
            foreach (array_keys($parts->tails) as $feed) {
                if (
                    isset($this->plan->ways()->wayTo($feed)[$cable->id]) &&
                    $this->plan->ways()->root($cable->from) !== null
                ) {
                    $root = $this->plan->ways()->root($cable->from);

                    if (isset($this->plan->controllers[$root])) {
                        return count($parts->strip->channels) + 1;
                    }

                    return 2;
                }
            }
        }

        return 2;
    }
}
