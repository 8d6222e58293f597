<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Board;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Belief\LightSuspects;
use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\Families\Board\Simulation\SimulatedBoard as Simulation;
use EmberDusk\Joining\Families\Receiver\ReceiverFamily;
use EmberDusk\Joining\Family;
use EmberDusk\Joining\FamilyFact;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\StepBuilder;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\Unit;

/** Boards with Wi-Fi firmware: the network is given over a data lead, and after a reboot the page opens at the board’s address. */
final readonly class BoardFamily implements Family
{
    public function key(): string
    {
        return 'board';
    }

    public function takes(string $role, string $way): bool
    {
        return $role === Unit::BOARD;
    }

    public function facts(Unit $unit): array
    {
        return [FamilyFact::SiteNetwork];
    }

    public function missing(Unit $unit, Roster $roster): array
    {
        return [];
    }

    public function tasks(Roster $roster): array
    {
        return StepBuilder::byPhone($this->key(), $roster);
    }

    public function steps(Task $task, Roster $roster, array $dropped = []): array
    {
        $unit = $roster->unit($task->device);
        $label = $unit->label();
        $page = StepBuilder::tap(
            task: $task,
            kind: 'page',
            unit: $unit,
            key: 'open',
            title: "Open the page of {$label}",
            why: 'The app finds it; if not, it is added by the address in the router’s list. Reserve that address: it changes after days without power.',
            says: 'page',
            expects: 'its page opens',
            ifNot: 'Not found: the phone’s network first, then the router’s list.',
        );
        if ($unit->member !== '') {
            return [$page];
        }

        return [
            StepBuilder::tap(
                task: $task,
                kind: 'give',
                unit: $unit,
                key: 'give',
                title: "Data lead to {$label}, and give it the network; the client types the password",
                why: 'Over the lead, or at the board’s own access point. A charge-only lead gives no port.',
                says: 'given',
                expects: 'the page says that the network is saved',
                ifNot: 'No port: another lead, one that carries data.',
            ),
            new JoinStep(
                task: $task->id(),
                kind: 'boot',
                look: Look::Hand,
                device: $unit->id,
                title: "Take the lead away and switch {$label} off and on",
                why: 'It starts on the network. Amber first lamps prove power, not the network.',
                at: $unit->id,
                where: 'at ' . $unit->called(),
                acts: [new Act(Act::OFF, $unit->id), new Act(Act::ON, $unit->id)],
                on: [$unit->id],
            ),
            $page,
            StepBuilder::tap(
                task: $task,
                kind: 'set',
                unit: $unit,
                key: 'set',
                title: 'Set fourth channel, order, count and limit, then save',
                why: ($unit->enters === '' ? '' : "{$unit->enters}. ") .
                    'Before any scene, in this order: three-channel data lights three quarters of four-channel pixels.',
                says: 'set',
                expects: 'the page has saved them',
            ),
        ];
    }

    public function suspects(Task $task, Roster $roster): array
    {
        $unit = $roster->unit($task->device);
        $label = $unit->label();
        $off = 'Switch the supply off before you move a lead.';

        return [
            ...(new LightSuspects($unit))->for(),
            ReceiverFamily::network([
                'page' => Observation::Nothing,
                'set' => Observation::Nothing,
                'accept' => Observation::Nothing,
            ]),
            new Suspect(
                code: 'charge-lead',
                device: $unit->id,
                shows: ['give' => Observation::Nothing],
                says: 'the lead only charges',
                check: 'Try the lead between a phone and a computer: does it offer files? If not, take one that carries data.',
                seconds: 20.0,
                again: Suspect::STEP,
            ),
            new Suspect(
                code: 'new-address',
                device: $unit->id,
                shows: [
                    'page' => Observation::Nothing,
                    'set' => Observation::Nothing,
                    'accept' => Observation::Nothing,
                ],
                says: "the router has given {$label} another address",
                check: "Look for {$label} in the router’s list. Another address: open that one, and reserve it.",
                seconds: 25.0,
                again: Suspect::STEP,
            ),
            new Suspect(
                code: 'wrong-order',
                device: $unit->id,
                shows: ['accept' => Observation::Wrong],
                says: 'the order of the colours on its page is not the strip’s',
                check: 'Set red, green and blue alone: where another one lights, change the order on the page.',
                seconds: 15.0,
                again: Suspect::STEP,
            ),
            new Suspect(
                code: 'wrong-count',
                device: $unit->id,
                shows: ['accept' => Observation::Part],
                says: 'the count on its page is less than the strip has',
                check: 'Step the count up until the last one just lights.',
                seconds: 30.0,
                again: Suspect::STEP,
                caution: $off,
            ),
        ];
    }

    public function simulated(Unit $unit, SimulatedSite $site): SimulatedDevice
    {
        return new Simulation($unit, $site);
    }
}
