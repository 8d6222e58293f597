<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Meter;

use EmberDusk\Bench\Faults\Fault;
use EmberDusk\Bench\Faults\FaultInjection;
use EmberDusk\Circuit\Conditions;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\Network;
use EmberDusk\Circuit\Phase;
use EmberDusk\Circuit\Resistor;
use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Circuit\Wiring;
use EmberDusk\Kit\Connector;
use EmberDusk\Plan\Plan;

/**
 * An island as a meter meets it: every joint is its own resistor, so that volts can be read on both its sides; with a fault put in,
 * where there is one. Dimmed phases are averaged, as a meter does.
 */
final readonly class BenchCircuit
{
    /** Lumps that a stretch is taken as where a circuit is only compared with its like. */
    private const LUMPS = 10;

    private function __construct(private Plan $plan, private Island $island, private bool $lumped) {}

    public static function for(Plan $plan, Island $island): self
    {
        return new self($plan, $island, false);
    }

    /** The same with each stretch of strip as a few large groups: off by little, and by the same in circuits that are compared. */
    public static function lumped(Plan $plan, Island $island): self
    {
        return new self($plan, $island, true);
    }

    /**
     * @param  list<Fault>  $faults
     * @return list<Network> one per phase of the command
     */
    public function networks(
        MeterCommand $command,
        Conditions $conditions = new Conditions(),
        array $faults = [],
    ): array {
        return array_map(
            fn(Phase $p): Network => $this->network($command, $conditions, $p, $faults),
            $command->phases($this->plan, $this->island),
        );
    }

    /**
     * True volts and amps, by spot; those where nothing conducts are not in it.
     *
     * @param  list<MeterSpot>  $spots
     * @param  list<Fault>  $faults
     * @return array<string, float>
     *
     * @throws \EmberDusk\Values\Refusal when it has no solution
     */
    public function read(
        array $spots,
        MeterCommand $command,
        Conditions $conditions = new Conditions(),
        array $faults = [],
    ): array {
        $read = [];
        foreach ($command->phases($this->plan, $this->island) as $phase) {
            $network = $this->network($command, $conditions, $phase, $faults);
            $counts = array_map(static fn($s): int => $s->groups, $network->stretches);
            if ($this->lumped) {
                $network->stretches = array_map(
                    static fn($s) => ScaledLoad::lumps($s, self::LUMPS),
                    $network->stretches,
                );
            }
            $readout = new Readout($network, Newton::solve($network), $counts);
            foreach ($spots as $spot) {
                $value = $readout->at($spot);
                if ($value !== null) {
                    $read[$spot->id] = ($read[$spot->id] ?? 0.0) + $phase->share * $value;
                }
            }
        }

        return $read;
    }

    /** @param  list<Fault>  $faults */
    private function network(MeterCommand $command, Conditions $conditions, Phase $phase, array $faults): Network
    {
        $network = Wiring::for($this->plan, $this->island, $command->conditions($conditions), $phase);
        $this->part($network);
        foreach ($faults as $fault) {
            FaultInjection::into($network, $fault, $this->plan, $command);
        }

        return $network;
    }

    /** Each core becomes joint, copper, joint. */
    private function part(Network $network): void
    {
        $resistors = [];
        foreach ($network->resistors as $r) {
            $cable = $this->plan->cables[$r->part] ?? null;
            if ($cable === null && $r->part !== 'jumper') {
                $resistors[] = $r;

                continue;
            }
            [$first, $last] =
                $cable !== null ? $this->plan->ways()->joints($cable) : [Connector::SOLDERED, Connector::SOLDERED];
            $a = $network->node("{$r->name}_a", $network->guesses[$r->from]);
            $b = $network->node("{$r->name}_b", $network->guesses[$r->to]);
            $resistors[] = new Resistor("{$r->name}_a", $r->part, $r->from, $a, $first);
            $resistors[] = new Resistor($r->name, $r->part, $a, $b, max(1e-6, $r->ohms - $first - $last));
            $resistors[] = new Resistor("{$r->name}_b", $r->part, $b, $r->to, $last);
        }
        $network->resistors = $resistors;
    }
}
