<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Trigger;

/** Units of a job that can start something automatically: apps that keep time or detect presence, controllers with inputs. */
final readonly class TriggerUnits
{
    public function __construct(private Plan $plan) {}

    /** Why nothing of the job can start it; null where something can. */
    public function none(Trigger $trigger): ?string
    {
        $units = RosterOfPlan::for($this->plan, new TimingMethod())->units;
        $function = $trigger->timed() ? 'schedule' : 'presence';
        $apps = array_filter(
            $units,
            static fn(Unit $u): bool => in_array($u->role, [Unit::HUB, Unit::ASSISTANT], true) &&
                !in_array($function, $u->leaflet->lacks, true),
        );
        // A unit whose instructions name no inputs has none.
        $wires = array_sum(array_map(static fn(Unit $u): float => $u->leaflet->figure('inputs') ?? 0.0, $units));
        $panels = array_filter($units, static fn(Unit $u): bool => $u->role === Unit::PANEL);

        [$there, $else] = match (true) {
            $trigger->timed() => [
                $apps !== [],
                'No unit of the job keeps time: choose a hub or a server (a remote does not).',
            ],
            $trigger->by === Trigger::PRESENCE => [
                $apps !== [] || $wires >= 1,
                'No unit of the job detects presence: choose a hub, a server, or a controller with an input for it.',
            ],
            $trigger->by === Trigger::PUSH => [
                $panels !== [] || $wires >= 1,
                'No unit of the job has a push-button input: choose a wall panel, or a controller with an input for it.',
            ],
            default => [
                $wires >= $this->wired(),
                sprintf(
                    'The controllers have %d signal inputs, %d are needed: choose one with more, or remove a signal.',
                    (int) $wires,
                    $this->wired(),
                ),
            ],
        };
        if ($there) {
            return null;
        }

        return $else;
    }

    /** Wires of a vehicle that the job wants, each once. */
    private function wired(): int
    {
        return count(
            array_unique(
                array_map(
                    static fn(Trigger $t): string => $t->by,
                    array_filter($this->plan->triggers, static fn(Trigger $t): bool => $t->wired()),
                ),
            ),
        );
    }
}
