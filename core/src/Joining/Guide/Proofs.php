<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Guide;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\EventWords;
use EmberDusk\Joining\Families;
use EmberDusk\Joining\FamilyFact;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\StepBuilder;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Source;

/**
 * Tests after every control works: with covers closed, after a mains cut of the entire site, without the internet, without the hub. The last two only
 * record what still works: both answers are valid and go on the client's card.
 */
final readonly class Proofs
{
    /** Kinds of the steps that come before the trials: what they take away is given back after them. */
    public const BEGIN = ['app', 'close', 'mains', 'offline', 'hubless'];

    /** Seconds that mains stay off. Common practice, no source. */
    private const OFF = 10.0;

    private function __construct(private Roster $roster) {}

    /** @return list<Task> */
    public static function tasks(Roster $roster): array
    {
        return (new self($roster))->allTasks();
    }

    /** @return list<Task> */
    private function allTasks(): array
    {
        if ($this->roster->wants === [] || !$this->roster->school->proves) {
            return [];
        }
        $tasks = [];
        foreach ([Task::PHONES, Task::CLOSED, Task::MAINS, Task::OFFLINE, Task::HUBLESS] as $what) {
            foreach ($this->for($what) as $want) {
                $tasks[] = new Task('', $what, $want->control, $want->light, $want->zone);
            }
        }

        return $tasks;
    }

    /** @return list<ControlledLight> one for each thing that is looked at then; after mains every light, which is its own control */
    private function for(string $what): array
    {
        $first = [];
        foreach ($this->roster->wants as $want) {
            $control = $this->roster->unit($want->control);
            $light = $this->roster->unit($want->light);
            if ($what === Task::MAINS) {
                $first[$want->light] ??= new ControlledLight($want->light, $want->light);
            } elseif (
                match ($what) {
                    Task::PHONES => $this->roster->phones > 1 && self::byAnyPhone($control, $light),
                    Task::OFFLINE => Families::say($control, FamilyFact::Internet) ||
                        Families::say($light, FamilyFact::Internet),
                    Task::HUBLESS => $this->roster->inRole(Unit::HUB) !== [] && !self::isHub($control),
                    default => true,
                }
            ) {
                $first[$want->control] ??= $want;
                // Covers weaken the radio: the farthest light shows it.
                $farther = $what === Task::CLOSED && $this->away($want) > $this->away($first[$want->control]) + 1e-9;
                $first[$want->control] = $farther ? $want : $first[$want->control];
            }
        }

        return array_values($first);
    }

    /** Whether an app controls the light, on any phone: not only on the one that joined it. */
    private static function byAnyPhone(Unit $control, Unit $light): bool
    {
        return in_array($control->role, [Unit::HUB, Unit::BRIDGE, Unit::PHONE], true) &&
            !Families::say($control, FamilyFact::OnePhone) &&
            !Families::say($light, FamilyFact::OnePhone);
    }

    /** Metres from a control to its light. */
    private function away(ControlledLight $want): float
    {
        return $this->roster->metres($want->control, $want->light);
    }

    /** Whether it goes when the hub goes. */
    private static function isHub(Unit $control): bool
    {
        return in_array($control->role, [Unit::HUB, Unit::PHONE, Unit::BRIDGE], true);
    }

    /** @return list<JoinStep> */
    public static function steps(Task $task, Roster $roster): array
    {
        return (new self($roster))->stepsOf($task);
    }

    /** @return list<JoinStep> */
    private function stepsOf(Task $task): array
    {
        $all = $this->for($task->what);
        $key = (new ControlledLight($task->device, $task->other))->key();
        $steps = [$this->look($task)];
        if ($all[0]->key() === $key) {
            array_unshift($steps, $this->before($task));
        }
        if ($all[count($all) - 1]->key() === $key) {
            $steps = [...$steps, ...$this->after($task)];
        }

        return $steps;
    }

    private function before(Task $task): JoinStep
    {
        $lights = array_keys(array_filter($this->roster->units, StepBuilder::switched(...)));

        return match ($task->what) {
            Task::PHONES => self::hand(
                $task,
                'app',
                sprintf(
                    'On %s: install each app, and sign in with the client’s account',
                    $this->roster->phones > 2
                        ? 'each of the ' . ($this->roster->phones - 1) . ' further phones'
                        : 'the second phone',
                ),
                'The client signs in: no password is written down here. Close the app on the first phone meanwhile.',
                [],
            ),
            Task::CLOSED => self::hand(
                $task,
                'close',
                'Close every cover, lid and door',
                'Closed metal boxes and doors weaken the radio from now on.',
                [],
            ),
            Task::MAINS => self::hand(
                $task,
                'mains',
                implode('; ', array_map(static fn(Source $s): string => $s->cycle(), $this->sources())),
                'The client will see the same after every power cut.',
                [
                    ...array_map(static fn(string $u): Act => new Act(Act::OFF, $u), $lights),
                    ...array_map(static fn(string $u): Act => new Act(Act::ON, $u), $lights),
                ],
                self::OFF,
                implode(' ', array_map(static fn(Source $s): string => $s->cycleCaution(), $this->sources())),
            ),
            Task::OFFLINE => self::hand(
                $task,
                'offline',
                'Take the internet away: pull the line to outside, leave the router its power',
                'What still works is printed on the client’s card.',
                [new Act(Act::SET, Roster::PHONE, 'internet off')],
            ),
            default => self::hand(
                $task,
                'hubless',
                'Take the power of ' . implode(', ', $this->labels()) . ' away',
                'What still works is printed on the client’s card.',
                array_map(static fn(Unit $u): Act => new Act(Act::OFF, $u->id), $this->hubs()),
            ),
        };
    }

    /** @return list<Source> power sources of the lights, each once */
    private function sources(): array
    {
        $sources = [];
        foreach ($this->roster->units as $unit) {
            if ($unit->lights()) {
                $sources[$unit->source->value] = $unit->source;
            }
        }

        return array_values($sources);
    }

    /** @return list<JoinStep> */
    private function after(Task $task): array
    {
        return match ($task->what) {
            Task::OFFLINE => [
                self::hand($task, 'online', 'Give the internet back', 'It works as before.', [
                    new Act(Act::SET, Roster::PHONE, 'internet on'),
                ]),
            ],
            Task::HUBLESS => [
                self::hand(
                    $task,
                    'hub-back',
                    'Give ' . implode(', ', $this->labels()) . ' its power back',
                    'It takes its minute until it answers.',
                    array_map(static fn(Unit $u): Act => new Act(Act::ON, $u->id), $this->hubs()),
                ),
            ],
            default => [],
        };
    }

    /** @return list<Unit> */
    private function hubs(): array
    {
        return array_values($this->roster->inRole(Unit::HUB));
    }

    /** @return list<string> */
    private function labels(): array
    {
        return array_map(static fn(Unit $u): string => $u->label(), $this->hubs());
    }

    /** @param  list<Act>  $acts */
    private static function hand(
        Task $task,
        string $kind,
        string $title,
        string $why,
        array $acts,
        float $before = 0.0,
        string $caution = '',
    ): JoinStep {
        return new JoinStep(
            task: $task->id(),
            kind: $kind,
            look: Look::Hand,
            device: $task->other,
            title: $title,
            why: $why,
            where: 'the whole site',
            acts: $acts,
            before: $before,
            caution: $caution,
        );
    }

    private function look(Task $task): JoinStep
    {
        $light = $this->roster->unit($task->other);
        if ($task->what === Task::MAINS) {
            $expects = $light->returns !== '' ? "it {$light->returns}" : 'it is lit at its stored level';

            return new JoinStep(
                task: $task->id(),
                kind: JoinStep::RETURNS,
                look: Look::Try,
                device: $light->id,
                title: "Look at {$light->called()}: is it lit again?",
                why: 'Its state at power-on is stored in the device: ' .
                    ($light->returns === '' ? 'its power-on behaviour is not set.' : "it {$light->returns}."),
                where: 'at ' . $light->called(),
                watches: $light->id,
                expects: $expects,
            );
        }
        $control = $this->roster->unit($task->device);
        $by = $control->called() . EventWords::zone($task->zone);
        $closed = $task->what === Task::CLOSED;
        $must = $closed || $task->what === Task::PHONES;
        $at = $must ? $light->id : '';
        $title =
            "Control {$light->called()} by {$by}" .
            match ($task->what) {
                Task::CLOSED => ' once more',
                Task::PHONES => ' from each further phone',
                default => ': does it still?',
            };

        return new JoinStep(
            task: $task->id(),
            kind: $must ? $task->what : JoinStep::STILL,
            look: Look::Try,
            device: $light->id,
            title: $title,
            why: match ($task->what) {
                Task::CLOSED => 'Everything is closed now.',
                Task::PHONES => 'The client’s household controls it with these phones.',
                default => 'Either answer is fine: it is recorded.',
            },
            at: $at,
            where: 'at ' . $light->called(),
            acts: array_map(
                static fn(float $level): Act => new Act(Act::TRY, $control->id, "{$light->id} {$task->zone} {$level}"),
                GuideSteps::LEVELS,
            ),
            watches: $light->id,
            expects: $must ? 'it works as before' : '',
        );
    }
}
