<?php

declare(strict_types=1);

namespace App\Screens\Join;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\LiveRun;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\Unit;

/** A lane per device over time: time windows as bars, actions and observations as marks. */
final readonly class JoinLanes
{
    private function __construct(private LiveRun $run) {}

    /**
     * @param  bool  $all the simulated devices' own windows; else those known to the guide
     * @return list<JoinLane>
     */
    public static function for(LiveRun $run, bool $all = false): array
    {
        return (new self($run))->lanes($all);
    }

    /**
     * @param  bool  $all the simulated devices' own windows; else those known to the guide
     * @return list<JoinLane>
     */
    private function lanes(bool $all = false): array
    {
        $site = $all ? $this->run->site() : null;
        $searches = $this->searches();
        $windows = $site === null ? $this->guided() : self::windows($site);
        $lanes = [];
        foreach ($this->run->roster->units as $id => $unit) {
            $bars = [...$searches[$id] ?? [], ...$windows[$id] ?? []];
            if ($unit->role === Unit::PHONE && $bars === []) {
                continue;
            }
            $label = $unit->role !== Unit::PHONE ? $unit->label() : 'Phone';
            $lanes[] = new JoinLane(
                id: $id,
                label: $label,
                note: mb_strtolower($unit->name),
                bars: $bars,
                marks: $this->marks($id),
            );
        }
        // Hubs first: the others wait for their searches.
        usort($lanes, fn(JoinLane $a, JoinLane $b): int => $this->rank($a->id) <=> $this->rank($b->id));

        return $lanes;
    }

    private function rank(string $id): int
    {
        return match ($this->run->roster->unit($id)->role) {
            Unit::HUB, Unit::PHONE => 0,
            Unit::LIGHT, Unit::BOARD => 1,
            default => 2,
        };
    }

    /** @return array<string, list<JoinBar>> by device: what an app's search lasts */
    private function searches(): array
    {
        $bars = [];
        foreach ($this->run->log() as $event) {
            if ($event->kind === Act::TAP && str_starts_with($event->text, 'search')) {
                $seconds = $this->run->roster->unit($event->device)->leaflet->figure('search') ?? 60.0;
                $bars[$event->device][] = new JoinBar(
                    from: $event->at,
                    to: $event->at + $seconds,
                    kind: 'search',
                    text: 'search',
                );
            }
        }

        return $bars;
    }

    /** @return array<string, list<JoinBar>> by device: windows of simulated devices */
    private static function windows(SimulatedSite $site): array
    {
        $bars = [];
        foreach ($site->devices() as $id => $device) {
            foreach ($device->windows() as $window) {
                $bars[$id][] = new JoinBar(from: $window->from, to: $window->to, kind: 'listens', text: $window->what);
            }
        }

        return $bars;
    }

    /** @return array<non-empty-string, list<JoinBar>> by device: windows that the guide has seen opened */
    private function guided(): array
    {
        $bars = [];
        $progress = $this->run->progress();
        foreach ($progress->tasks() as $task) {
            foreach ($progress->stepsOf($task) as $step) {
                $opened =
                    $step->opened !== '' ? $progress->marks->answered["{$step->task}/{$step->opened}"] ?? null : null;
                if ($opened === null || $step->watches === '') {
                    continue;
                }
                $seen = $progress->marks->answered[$step->key()] ?? null;
                [$from, $until] = $step->opens ?? [0.0, $step->waits];
                $ends = $opened + $until;
                $bars[$step->watches][] = new JoinBar(
                    from: $opened + $from,
                    to: $seen !== null && $seen > $opened ? min($seen, $ends) : $ends,
                    kind: 'listens',
                    text: 'listens',
                );
            }
        }

        return $bars;
    }

    /** @return list<JoinMark> */
    private function marks(string $device): array
    {
        $marks = [];
        foreach ($this->run->log() as $e) {
            $text = match (true) {
                $e->kind === Act::ON && $e->device === $device => 'on',
                $e->kind === Act::OFF && $e->device === $device => 'off',
                $e->kind === Event::FOUND && $e->device === $device => 'listed',
                $e->kind === Event::NAMED && $e->device === $device => 'named',
                $e->kind === Event::MENDED && $e->device === $device => $e->wasSo === true ? 'mended' : 'looked at',
                $e->kind === Event::SAW && $e->device === $device => self::seen($e),
                default => '',
            };
            if ($text !== '') {
                $marks[] = new JoinMark(at: $e->at, text: $text);
            }
        }

        return $marks;
    }

    private static function seen(Event $event): string
    {
        if ($event->seen === null) {
            return '';
        }
        $kind = $event->step->kind ?? '';

        return match (true) {
            $event->seen !== Observation::Expected => $event->seen->words(),
            in_array($kind, ['joined', 'join', 'connect'], true) => 'joined',
            in_array($kind, ['link', 'zone', 'swipe'], true) => 'linked',
            in_array($kind, ['accept', 'closed', JoinStep::STILL], true) => 'works',
            $kind === JoinStep::RETURNS => 'back',
            $kind === 'reset' => 'reset',
            default => '',
        };
    }
}
