<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Guide;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\StepBuilder;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\Unit;

/** State of the site from the log: powered devices, running searches, entries in each app's list and their owners. */
final class LoggedState
{
    /** Default seconds of a search without a stated length. Common practice, no source. */
    public const SEARCH = 60.0;

    /** How the kind of a step begins that only waits. */
    public const WAIT = 'wait ';

    /** @var array<string, bool> */
    private array $powered = [];

    /** @var array<string, array{float, float}> from, until; by device */
    private array $searches = [];

    /** @var array<string, list<string>> lines of its list, by hub */
    private array $entries = [];

    /** @var array<string, array<string, string>> device by line, by hub */
    private array $owners = [];

    /** @var array<string, list<string>> lines that were there before the first search, by hub */
    private array $before = [];

    /** @var array<string, true> hubs that have searched */
    private array $searched = [];

    /** @var array<string, list<string>> lines that turned out to be another light, by device */
    private array $others = [];

    public function __construct(private readonly Roster $roster) {}

    public function feed(Event $event): void
    {
        match ($event->kind) {
            Act::ON => ($this->powered[$event->device] = true),
            Act::OFF => ($this->powered[$event->device] = false),
            Act::TAP => $this->tapped($event),
            Event::FOUND => $this->found($event),
            default => null,
        };
    }

    /** A line that was there before anything was searched for belongs to none of these devices. */
    private function found(Event $event): void
    {
        $this->entries[$event->device][] = $event->text;
        if (!isset($this->searched[$event->device])) {
            $this->before[$event->device][] = $event->text;
        }
    }

    private function tapped(Event $event): void
    {
        $words = explode(' ', $event->text);
        if ($words[0] === 'search') {
            $this->searched[$event->device] = true;
            $this->searches[$event->device] = [$event->at, $event->at + $this->searchSeconds($event->device)];
        }
        if ($words[0] === 'end') {
            unset($this->searches[$event->device]);
        }
    }

    private function searchSeconds(string $device): float
    {
        if ($this->roster->has($device)) {
            return $this->roster->unit($device)->leaflet->figure('search') ?? self::SEARCH;
        }

        return self::SEARCH;
    }

    /** @return array{float, float}|null */
    public function search(string $device): ?array
    {
        return $this->searches[$device] ?? null;
    }

    /** Act that ends the search that a step needs or waits for; null while none runs. */
    public function end(JoinStep $step, float $now): ?Act
    {
        $device = $step->search ?? $step->quiet;
        if ($device === null || ($this->searches[$device][1] ?? -INF) <= $now) {
            return null;
        }
        $phone = $this->roster->unit($device)->role === Unit::PHONE;

        return new Act(Act::TAP, $device, $phone ? "end {$this->roster->unit($step->device)->way}" : 'end');
    }

    /** @return list<string> entries in a hub's app, from the log */
    public function known(string $hub): array
    {
        return $this->entries[$hub] ?? [];
    }

    /** Preparation before a step: power on or off, a search started. Null if none. */
    public function before(JoinStep $step, float $now, string $alert): ?JoinStep
    {
        $ends = $step->quiet !== null ? ($this->searches[$step->quiet][1] ?? 0.0) - $now : 0.0;
        if ($step->quiet !== null && $ends > 0.0) {
            return $this->wait($step, $this->roster->unit($step->quiet), $now + $ends, $alert);
        }
        foreach ($step->off as $id) {
            if ($this->powered[$id] ?? false) {
                return $this->power($step, $this->roster->unit($id), false, $alert);
            }
        }
        foreach ($step->on as $id) {
            if (!($this->powered[$id] ?? false)) {
                return $this->power($step, $this->roster->unit($id), true, $alert);
            }
        }
        if ($step->search === null || $step->searchFor <= 0.0) {
            return null;
        }
        $until = $this->searches[$step->search][1] ?? -INF;

        if ($until - $now < min($step->searchFor, $this->searchSeconds($step->search) - 1.0)) {
            return $this->start($step, $this->roster->unit($step->search), $alert);
        }

        return null;
    }

    private function power(JoinStep $step, Unit $unit, bool $on, string $alert): JoinStep
    {
        $mates = $this->roster->together($unit->id);
        $lift = !$on && $mates !== [];

        return new JoinStep(
            task: $step->task,
            kind: $on ? "on {$unit->id}" : "off {$unit->id}",
            look: Look::Hand,
            device: $unit->id,
            title: match (true) {
                $on => "Switch {$unit->label()} on",
                $lift => "Supply off, lift {$unit->label()}’s lead, supply on",
                default => "Switch {$unit->label()} off",
            },
            why: match (true) {
                $on => 'The next step needs it.',
                $lift => 'It has the same supply as ' .
                    strtoupper(implode(', ', $mates)) .
                    ': with power it could take the link.',
                default => 'With power it could take the link.',
            },
            at: $unit->id,
            where: 'at ' . $unit->called(),
            acts: [new Act($on ? Act::ON : Act::OFF, $unit->id)],
            caution: $unit->source->isolate(),
            alert: $alert,
        );
    }

    private function wait(JoinStep $step, Unit $by, float $until, string $alert): JoinStep
    {
        return new JoinStep(
            task: $step->task,
            kind: self::WAIT . $by->id,
            look: Look::Hand,
            device: $by->id,
            title: 'Wait until the search in ' . StepBuilder::app($by) . ' has ended',
            why: 'A device that is reset during a search joins at once, unseen.',
            where: 'phone, ' . StepBuilder::app($by),
            quiet: $by->id,
            alert: $alert,
            window: [$until, $until],
        );
    }

    private function start(JoinStep $step, Unit $by, string $alert): JoinStep
    {
        $key = $by->role === Unit::PHONE ? 'search ' . $this->roster->unit($step->device)->way . ' 60' : 'search';
        $seconds = $this->searchSeconds($by->id);

        return new JoinStep(
            task: $step->task,
            kind: "search {$by->id}",
            look: Look::Hand,
            device: $by->id,
            title: 'Press Search in ' . StepBuilder::app($by),
            why: sprintf(
                'It searches for %g s. It must be searching before the window of %s opens.',
                $seconds,
                $this->roster->unit($step->device)->label(),
            ),
            where: 'phone, ' . StepBuilder::app($by),
            acts: [new Act(Act::TAP, $by->id, $key)],
            before: $by->leaflet->figure('taps') ?? StepBuilder::TAPS,
            alert: $alert,
        );
    }

    /** The next list entry that may be this task's device: unassigned, and not tried for it. */
    public function candidate(Task $task): ?string
    {
        foreach ($this->entries[$task->other] ?? [] as $entry) {
            $tried =
                in_array($entry, $this->others[$task->device] ?? [], true) ||
                in_array($entry, $this->before[$task->other] ?? [], true);
            if (!$tried && !isset($this->owners[$task->other][$entry])) {
                return $entry;
            }
        }

        return null;
    }

    public function entryOf(Task $task): ?string
    {
        $entry = array_search($task->device, $this->owners[$task->other] ?? [], true);

        if ($entry === false) {
            return $this->candidate($task);
        }

        return (string) $entry;
    }

    public function ownerOf(string $hub, string $entry): ?string
    {
        return $this->owners[$hub][$entry] ?? null;
    }

    public function own(Task $task): void
    {
        $entry = $this->candidate($task);
        if ($entry !== null) {
            $this->owners[$task->other][$entry] = $task->device;
        }
    }

    public function drop(Task $task): void
    {
        $entry = $this->candidate($task);
        if ($entry !== null) {
            $this->entries[$task->other] = array_values(array_diff($this->entries[$task->other], [$entry]));
        }
    }

    public function tried(Task $task): void
    {
        $entry = $this->candidate($task);
        if ($entry !== null) {
            $this->others[$task->device][] = $entry;
        }
    }

    /** Entries of other devices may be tried again. */
    public function again(Task $task): void
    {
        unset($this->others[$task->device]);
    }

    /** A reset device leaves the list; an unassigned entry may have been its own, and counts once it is listed again. */
    public function forget(Task $task): void
    {
        $owned = $this->owners[$task->other] ?? [];
        $this->owners[$task->other] = array_filter($owned, static fn(string $d): bool => $d !== $task->device);
        $this->entries[$task->other] = array_values(
            array_intersect($this->entries[$task->other] ?? [], [
                ...array_keys($this->owners[$task->other]),
                ...$this->before[$task->other] ?? [],
            ]),
        );
        unset($this->others[$task->device]);
    }
}
