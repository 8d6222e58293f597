<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

use EmberDusk\Bench\Meter\BenchCircuit;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\Resistor;
use EmberDusk\Circuit\WiredRun;
use EmberDusk\Circuit\Wiring;
use EmberDusk\Plan\Plan;

/** Every fault that an island can have: each joint, feed, cable, supply, strip, section, switch, count. */
final readonly class FaultList
{
    public function __construct(private Plan $plan, private Island $island) {}

    /** @return list<Fault> of size one */
    public function for(): array
    {
        $network = BenchCircuit::for($this->plan, $this->island)->networks(MeterCommand::full())[0];
        $cores = [];
        foreach ($network->resistors as $r) {
            $cores[$r->part][] = $r;
        }
        $faults = [];
        foreach ($this->island->cables($this->plan) as $cable) {
            foreach ($cores[$cable->id] ?? [] as $r) {
                $end = match (substr($r->name, -2)) {
                    '_a' => 'from',
                    '_b' => 'to',
                    default => null,
                };
                if ($end !== null) {
                    $core = (int) substr($r->name, strlen(Wiring::name($cable->id)) + 1);
                    $faults[] = new Fault(FaultKind::Joint, "{$cable->id}:{$end}:{$core}", 1.0, [$r->name]);
                }
            }
            $copper = array_values(
                array_filter(
                    $cores[$cable->id] ?? [],
                    static fn(Resistor $r): bool => !str_ends_with($r->name, '_a') && !str_ends_with($r->name, '_b'),
                ),
            );
            $names = array_map(static fn(Resistor $r): string => $r->name, $copper);
            $faults[] = new Fault(FaultKind::Size, $cable->id, 1.0, $names);
            $faults[] = new Fault(FaultKind::Length, $cable->id, 1.0, $names);
            if (isset($this->plan->feeds[$cable->to])) {
                $faults[] = new Fault(
                    FaultKind::Feed,
                    $cable->to,
                    1.0,
                    array_map(static fn(string $n): string => "{$n}_b", $names),
                );
            }
        }
        foreach ($this->island->supplies as $id) {
            $faults[] = new Fault(FaultKind::Low, $id);
            $faults[] = new Fault(FaultKind::Overload, $id);
        }
        foreach ($this->island->parts as $parts) {
            array_push($faults, ...self::run($this->plan, $parts, $network->resistors));
        }

        return $faults;
    }

    /**
     * @param  list<Resistor>  $resistors
     * @return list<Fault>
     */
    private static function run(Plan $plan, WiredRun $parts, array $resistors): array
    {
        $id = $parts->run->id;
        $faults = [new Fault(FaultKind::Rail, $id), new Fault(FaultKind::Strip, $id)];
        $prefix = Wiring::prefix($id) . '_j';
        foreach ($resistors as $r) {
            if (str_starts_with($r->name, $prefix) && preg_match('/_j(\d+)_(\d+)_([ab])$/', $r->name, $m) === 1) {
                // Joints of a lead between two sections: by section, core and side.
                $side = $m[3] === 'a' ? 'from' : 'to';
                $faults[] = new Fault(FaultKind::Joint, "{$id}:{$side}" . ($m[1] + 1) . ':' . ($m[2] + 1), 1.0, [
                    $r->name,
                ]);
            }
        }
        foreach (array_keys($parts->marks->groups) as $n) {
            $faults[] = new Fault(FaultKind::Reversed, "{$id}:" . ($n + 1));
        }

        return [...$faults, ...$parts->strip->pixels === null ? self::switches($parts) : self::pixels($plan, $parts)];
    }

    /** @return list<Fault> */
    private static function pixels(Plan $plan, WiredRun $parts): array
    {
        $id = $parts->run->id;
        $faults = [new Fault(FaultKind::Limit, $id), new Fault(FaultKind::Count, $id)];
        if ($parts->strip->pixels?->colours === 4) {
            $faults[] = new Fault(FaultKind::Kind, $id, 0.75);
        }
        $all = array_sum($parts->marks->groups);
        $before = 0;
        foreach ($parts->marks->groups as $n => $count) {
            $faults[] = new Fault(FaultKind::Data, "{$id}:" . ($n + 1), $before / $all);
            $before += $count;
        }

        return $faults;
    }

    /** @return list<Fault> a controller whose switch leaves some of its outputs alone */
    private static function switches(WiredRun $parts): array
    {
        $faults = [];
        $controller = $parts->controller;
        if ($controller === null || !$controller->setByHand()) {
            return [];
        }
        $name = Wiring::name((string) $parts->run->controller);
        foreach (['tunable' => 2, 'rgb' => 3, 'rgbw' => 4] as $setting => $outputs) {
            $off = array_map(
                static fn(int $n): string => "{$name}_{$n}",
                range($outputs + 1, max($outputs + 1, count($parts->strip->channels))),
            );
            if (in_array($setting, $controller->modes, true) && $outputs < count($parts->strip->channels)) {
                $faults[] = new Fault(FaultKind::Switch, "{$parts->run->controller}:{$setting}", 1.0, $off);
            }
        }

        return $faults;
    }
}
