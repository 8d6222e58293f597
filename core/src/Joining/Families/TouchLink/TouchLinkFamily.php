<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\TouchLink;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Belief\LightSuspects;
use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\Families\Remote\RemoteFamily;
use EmberDusk\Joining\Families\Remote\Simulation\SimulatedRemote as Simulation;
use EmberDusk\Joining\Family;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\LinkGroup;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\OrderRule;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\StepBuilder;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Source;
use EmberDusk\Survey\Length;

/** Links between a Zigbee remote or panel and single controllers, by touch: one controller with power, the remote against it. */
final readonly class TouchLinkFamily implements Family
{
    /** Metres at which a second controller with power is still heard, where no instructions say. Common practice, no source. */
    private const APART = 2.0;

    public function key(): string
    {
        return 'touchlink';
    }

    public function takes(string $role, string $way): bool
    {
        return false;
    }

    public function facts(Unit $unit): array
    {
        return [];
    }

    public function missing(Unit $unit, Roster $roster): array
    {
        if ($unit->family === 'zigbee') {
            return StepBuilder::missing($unit, [
                'linked' => 'its signal once it is linked',
                ...$unit->leaflet->figure('linkUntil') === null
                    ? ['link' => 'the gesture that opens it to a link', 'linkListens' => 'how long it then stays open']
                    : [],
            ]);
        }

        return [];
    }

    public function tasks(Roster $roster): array
    {
        $tasks = [];
        foreach ($roster->wants as $want) {
            if (
                $roster->unit($want->control)->family === 'remote' &&
                $roster->unit($want->light)->family === 'zigbee'
            ) {
                $tasks[] = new Task($this->key(), Task::LINK, $want->control, $want->light, $want->zone);
            }
        }

        return $tasks;
    }

    public function steps(Task $task, Roster $roster, array $dropped = []): array
    {
        $remote = $roster->unit($task->device);
        $light = $roster->unit($task->other);
        $near = $remote->leaflet->figure('near') ?? Unit::NEAR;
        $brought = $roster->brought($light->id, $remote->id);
        $off = !in_array(OrderRule::OthersOff, $dropped, true)
            ? StepBuilder::near($roster, $light->id, self::APART, $brought ? $remote->id : null)
            : [];
        $held = new Act(Act::NEAR, $remote->id, sprintf('%s %.2F', $light->id, $near / 2));
        $byKey = $light->leaflet->gesture('link') !== null;
        $place = $brought ? $remote : $light;
        $steps = [
            ...$brought ? [$this->bring($task, $light, $remote, $near)] : [],
            $byKey ? $this->open($task, $light, $off, $place) : $this->rise($task, $light, $off, $place),
        ];
        $caution = '';
        if ($remote->role === Unit::PANEL) {
            $caution =
                ($brought
                    ? ''
                    : 'A panel is linked before it is fixed, or the controller is brought to it on a temporary supply.') .
                ($remote->source === Source::Mains ? ' Mains is for a licensed person.' : '');
        }
        $steps[] = StepBuilder::gesture(
            task: $task,
            kind: 'link',
            unit: $remote,
            name: 'link',
            signal: 'linked',
            why: sprintf(
                'Zone %d works %s from then on. Hold %s within %s of it, with every other controller nearby switched off.',
                max(1, $task->zone),
                $light->called(),
                $remote->label(),
                Length::near($near),
            ),
            watch: $light,
            off: $off,
            first: $brought ? [] : [$held],
            zone: max(1, $task->zone),
            waits: 6.0,
            retry: $byKey ? 'open' : 'rise',
            opened: $byKey ? 'open' : 'rise',
            opens: $byKey
                ? [0.0, $light->leaflet->seconds('linkListens')]
                : [$light->leaflet->seconds('linkFrom'), $light->leaflet->seconds('linkUntil')],
            ifNot: 'No response: hold it nearer, within the time. If another lamp responds, it took the link: reset both.',
            beside: $place,
            caution: trim($caution),
        );

        return [...$steps, ...$brought ? [$this->back($task, $light, $remote)] : []];
    }

    /**
     * The controller goes to a panel that is fixed already: it needs power there, and a load that answers. A module on mains stays where it is:
     * the panel is brought there.
     */
    private function bring(Task $task, Unit $light, Unit $panel, float $near): JoinStep
    {
        $label = $light->label();
        $module = $light->load === Unit::LAMPS;
        $or = $module ? '' : " Or take {$panel->label()} off its plate and hold it to {$label}.";

        return new JoinStep(
            task: $task->id(),
            kind: 'bring',
            look: Look::Hand,
            device: $light->id,
            title: $module
                ? "Take {$panel->label()} off its plate, and bring it to {$label}"
                : "Bring {$label} to {$panel->label()}, with a temporary supply of its voltage and a short piece of strip",
            why: "{$panel->label()} is fixed, and links within " .
                sprintf('%g m only. ', $near) .
                "{$label} keeps what it has joined.{$or}",
            at: $panel->id,
            where: 'at ' . $panel->called(),
            acts: self::unpowered($light, [
                new Act(Act::NEAR, $light->id, sprintf('%s %.2F', $panel->id, $near / 2)),
                new Act(Act::NEAR, $panel->id, sprintf('%s %.2F', $light->id, $near / 2)),
            ]),
            before: StepBuilder::BROUGHT,
            caution: $module
                ? 'A module on mains is not carried about. Mains behind a panel is for a licensed person; local rules decide.'
                : trim(
                    'Switch the supply off before you move a lead, and mark the leads first. ' .
                        $light->source->isolate(),
                ),
        );
    }

    /**
     * Hands while a controller that is moved has no power; a module on mains is not moved and keeps its own.
     *
     * @param  list<Act>  $acts
     * @return list<Act>
     */
    private static function unpowered(Unit $light, array $acts): array
    {
        return $light->load === Unit::LAMPS
            ? $acts
            : [new Act(Act::OFF, $light->id), ...$acts, new Act(Act::ON, $light->id)];
    }

    private function back(Task $task, Unit $light, Unit $panel): JoinStep
    {
        $module = $light->load === Unit::LAMPS;

        return new JoinStep(
            task: $task->id(),
            kind: 'back',
            look: Look::Hand,
            device: $light->id,
            title: $module ? "Fix {$panel->label()} again" : "Put {$light->label()} back in its place, leads as marked",
            why: 'Links and joins are stored in the devices: moving them changes nothing.',
            at: $module ? $panel->id : $light->id,
            where: 'at ' . ($module ? $panel : $light)->called(),
            acts: self::unpowered($light, [new Act(Act::NEAR, $light->id)]),
            before: StepBuilder::BROUGHT,
            caution: $module
                ? 'Mains behind a panel is for a licensed person.'
                : trim('Switch the supply off before you move a lead. ' . $light->source->isolate()),
        );
    }

    /** @param  list<string>  $off */
    private function open(Task $task, Unit $light, array $off, Unit $place): JoinStep
    {
        return StepBuilder::gesture(
            task: $task,
            kind: 'open',
            unit: $light,
            name: 'link',
            signal: '',
            why: sprintf('It takes a link for %g s from now.', $light->leaflet->seconds('linkListens')),
            off: $off,
            beside: $place,
        );
    }

    /**
     * Opened automatically after power-up, where it has no key for it.
     *
     * @param  list<string>  $off
     */
    private function rise(Task $task, Unit $light, array $off, Unit $place): JoinStep
    {
        $from = $light->leaflet->seconds('linkFrom');

        return new JoinStep(
            task: $task->id(),
            kind: 'rise',
            look: Look::Hand,
            device: $light->id,
            title: sprintf('Switch %s off and on, and wait %g s', $light->label(), $from),
            why: sprintf(
                'It takes a link from %g s to %g s after power-up.',
                $from,
                $light->leaflet->seconds('linkUntil'),
            ),
            at: $place->id,
            where: 'at ' . $place->called(),
            acts: [new Act(Act::OFF, $light->id), new Act(Act::ON, $light->id)],
            on: [$light->id],
            off: $off,
        );
    }

    public function suspects(Task $task, Roster $roster): array
    {
        $remote = $roster->unit($task->device);
        $light = $roster->unit($task->other);
        $suspects = [
            ...(new LightSuspects($light))->for(),
            ...RemoteFamily::flat($remote),
            new Suspect(
                code: 'too-far',
                device: $remote->id,
                shows: ['link' => Observation::Nothing],
                says: "{$remote->label()} was held too far away",
                check: sprintf(
                    'Measure from %s to the controller itself, not to its strip: more than %g m is too far. Hold it close to it.',
                    $remote->label(),
                    $remote->leaflet->figure('near') ?? Unit::NEAR,
                ),
                seconds: 8.0,
                again: Suspect::STEP,
            ),
        ];
        if ($remote->role === Unit::PANEL && !$remote->fixed) {
            $suspects[] = new Suspect(
                code: 'panel-fixed',
                device: $remote->id,
                shows: ['link' => Observation::Nothing],
                says: "{$remote->label()} is fixed already, too far from the controller",
                check: "Is {$remote->label()} fixed? Then bring {$light->label()} to it on a temporary supply, or take it off its plate again.",
                seconds: 20.0,
                again: Suspect::STEP,
                caution: $remote->source === Source::Mains ? 'Mains behind a panel is for a licensed person.' : '',
            );
        }
        foreach (LinkGroup::hub($remote, $roster) === null ? $roster->wants : [] as $want) {
            $other = $roster->unit($want->control);
            if ($want->light === $light->id && $other->id !== $remote->id && $other->family === RemoteFamily::KEY) {
                $suspects[] = new Suspect(
                    code: 'took-over',
                    device: $other->id,
                    shows: ['accept' => Observation::Nothing],
                    says: "{$other->label()} has taken {$light->label()} over into a network of its own",
                    check: "Does {$other->label()} work {$light->label()}, and {$remote->label()} nothing? Then reset both remotes and " .
                        "{$light->label()}, and link one after the other.",
                    seconds: 10.0,
                    again: Suspect::DEVICES,
                    with: [$remote->id, $light->id],
                );
            }
        }
        $place = $roster->brought($light->id, $remote->id) ? $remote->id : null;
        foreach (StepBuilder::near($roster, $light->id, self::APART, $place) as $other) {
            $suspects[] = new Suspect(
                code: 'two-powered',
                device: $other,
                shows: ['link' => Observation::Elsewhere],
                says: strtoupper($other) . ' has power as well, and took the link',
                check: 'Is ' .
                    strtoupper($other) .
                    ' really without power? Lift its lead, supply off first. Then reset it, the remote and ' .
                    $light->label() .
                    '.',
                seconds: 10.0,
                again: Suspect::DEVICES,
                caution: 'Switch the supply off before you move a lead.',
            );
        }

        return $suspects;
    }

    public function simulated(Unit $unit, SimulatedSite $site): SimulatedDevice
    {
        return new Simulation($unit, $site);
    }
}
