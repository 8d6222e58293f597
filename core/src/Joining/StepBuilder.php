<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** Makes the usual steps: a gesture with the pattern that answers it, something tapped in an app, a look. */
final readonly class StepBuilder
{
    /** Seconds in which a lamp answers a gesture. Common practice, no source. */
    private const ANSWERS = 4.0;

    /** Seconds through the app to its search where no instructions say: five taps. Common practice, no source. */
    public const TAPS = 26.0;

    /** Seconds to bring a controller to a fixed panel and connect it there, or back, beside the walk. Common practice, no source. */
    public const BROUGHT = 120.0;

    /**
     * A gesture of a device's instructions; where the instructions give the pattern that answers, it is looked for.
     *
     * @param  string  $name  of the gesture
     * @param  string  $signal  of the pattern
     * @param  Unit|null  $watch  whose lamp or load answers; null: its own
     * @param  list<string>  $off
     * @param  list<Act>  $first  what hands do before it
     * @param  string  $then  the same in words, such as “switch it off and on, then ”
     * @param  array{float, float}|null  $opens  as in {@see JoinStep}
     */
    public static function gesture(
        Task $task,
        string $kind,
        Unit $unit,
        string $name,
        string $signal,
        string $why,
        ?Unit $watch = null,
        array $off = [],
        array $first = [],
        int $zone = 0,
        float $waits = self::ANSWERS,
        string $retry = '',
        string $opened = '',
        ?string $search = null,
        float $searchFor = 0.0,
        ?string $quiet = null,
        string $ifNot = '',
        string $caution = '',
        string $then = '',
        ?Unit $beside = null,
        bool $powered = true,
        ?array $opens = null,
    ): JoinStep {
        $watch ??= $unit;
        $gesture = $unit->leaflet->gesture($name);
        $expect = $signal !== '' ? $watch->leaflet->signal($signal) : null;
        $words = $gesture?->words($zone > 0 ? $zone : null) ?? $name;
        $on = array_values(
            array_unique(
                array_map(
                    static fn(Unit $u): string => $u->id,
                    array_filter($powered ? [$unit, $watch] : [$watch], self::switched(...)),
                ),
            ),
        );

        $watches = $expect !== null ? $watch->id : '';

        return new JoinStep(
            task: $task->id(),
            kind: $kind,
            look: $expect === null ? Look::Hand : Look::Lamp,
            device: $unit->id,
            title: ucfirst($then . $words) . ' on ' . $unit->label(),
            why: $why,
            at: ($beside ?? $unit)->id,
            where: 'at ' . ($beside ?? $unit)->called(),
            acts: [...$first, new Act(Act::GESTURE, $unit->id, $zone > 0 ? "{$name} {$zone}" : $name)],
            watches: $watches,
            signal: $expect === null ? '' : $signal,
            expect: $expect,
            expects: $expect?->words() ?? '',
            waits: $expect === null ? 0.0 : $waits,
            search: $search,
            searchFor: $searchFor,
            quiet: $quiet,
            on: $on,
            off: $off,
            retry: $retry,
            opened: $opened,
            opens: $opens,
            ifNot: $ifNot,
            caution: $caution,
        );
    }

    /** Whether its power must be switched on: loads, and panels on mains. */
    public static function switched(Unit $unit): bool
    {
        return $unit->lights() || $unit->role === Unit::PANEL;
    }

    /** A pattern that is waited for, with nothing to do meanwhile. */
    public static function look(
        Task $task,
        string $kind,
        Unit $watch,
        string $signal,
        float $waits,
        string $why,
        string $retry,
        string $opened,
        ?string $search = null,
        string $ifNot = '',
    ): JoinStep {
        $expect = $watch->leaflet->signal($signal);

        $on = self::switched($watch) ? [$watch->id] : [];

        return new JoinStep(
            task: $task->id(),
            kind: $kind,
            look: Look::Lamp,
            device: $watch->id,
            title: "Look at {$watch->label()}: " . ($expect?->words() ?? 'a sign'),
            why: $why,
            at: $watch->id,
            where: 'at ' . $watch->called(),
            watches: $watch->id,
            signal: $signal,
            expect: $expect,
            expects: $expect?->words() ?? '',
            waits: $waits,
            search: $search,
            on: $on,
            retry: $retry,
            opened: $opened,
            ifNot: $ifNot,
        );
    }

    /**
     * An action in an app, and the response of the app or a lamp.
     *
     * @param  string  $key  of the app of the device
     * @param  string  $says request to the device afterwards; empty: none
     * @param  Unit|null  $watch  a lamp that answers, with its signal in $says
     * @param  list<Act>  $first
     * @param  array{float, float}|null  $opens  as of {@see JoinStep}
     */
    public static function tap(
        Task $task,
        string $kind,
        Unit $unit,
        string $key,
        string $title,
        string $why,
        string $says = '',
        string $expects = '',
        ?Unit $watch = null,
        array $first = [],
        float $waits = 3.0,
        string $retry = '',
        string $opened = '',
        string $ifNot = '',
        string $caution = '',
        ?array $opens = null,
    ): JoinStep {
        $words = explode(' ', $key, 2);
        $expect = $watch?->leaflet->signal($says);

        return new JoinStep(
            task: $task->id(),
            kind: $kind,
            look: match (true) {
                $expect !== null => Look::Lamp,
                $says === '' || $watch !== null => Look::Hand,
                default => Look::Says,
            },
            device: $unit->id,
            title: $title,
            why: $why,
            at: $watch->id ?? '',
            where: 'phone, ' . self::app($unit),
            acts: [...$first, new Act(Act::TAP, $unit->id, implode(' ', $words))],
            watches: ($watch ?? $unit)->id,
            signal: $says,
            expect: $expect,
            expects: $expects !== '' ? $expects : $expect?->words() ?? '',
            waits: $says === '' ? 0.0 : $waits,
            on: array_values(
                array_map(
                    static fn(Unit $u): string => $u->id,
                    array_filter([$unit, ...$watch === null ? [] : [$watch]], self::switched(...)),
                ),
            ),
            retry: $retry,
            opened: $opened,
            opens: $opens,
            ifNot: $ifNot,
            caution: $caution,
        );
    }

    /** @return list<Task> a join by the phone for each light of a family that a phone works automatically */
    public static function byPhone(string $family, Roster $roster): array
    {
        $tasks = [];
        foreach ($roster->wantsOf(Roster::PHONE) as $want) {
            if ($roster->unit($want->light)->family === $family) {
                $tasks[] = new Task($family, Task::JOIN, $want->light, Roster::PHONE);
            }
        }

        return $tasks;
    }

    public static function app(Unit $unit): string
    {
        return match ($unit->role) {
            Unit::HUB => 'the hub’s app',
            Unit::ASSISTANT => 'the assistant’s app',
            Unit::BRIDGE => 'the bridge’s app',
            Unit::PHONE => 'the lights’ app',
            Unit::BOARD => 'the board’s page',
            default => 'the controller’s app',
        };
    }

    /**
     * Missing instructions, as text.
     *
     * @param  array<string, string>  $needs description by name of a gesture, signal or figure
     * @return list<string>
     */
    public static function missing(Unit $unit, array $needs): array
    {
        $missing = [];
        foreach ($needs as $name => $words) {
            $leaflet = $unit->leaflet;
            if (
                $leaflet->gesture($name) === null &&
                $leaflet->signal($name) === null &&
                $leaflet->figure($name) === null
            ) {
                $missing[] = $words;
            }
        }

        return $missing;
    }

    /**
     * Lights near by that must not have power while one is linked: each is heard as far as its own instructions say. A light at an
     * unknown distance counts as near.
     *
     * @param  float  $else  metres where no instructions say
     * @param  string|null  $at  where it is linked; null: in its own place
     * @return list<string>
     */
    public static function near(Roster $roster, string $light, float $else, ?string $at = null): array
    {
        $at ??= $light;

        return array_keys(
            array_filter(
                $roster->inRole(Unit::LIGHT, $roster->unit($light)->family),
                static fn(Unit $u): bool => $u->id !== $light &&
                    (!$roster->measured($u->id, $at) ||
                        $roster->metres($u->id, $at) <= ($u->leaflet->figure('apart') ?? $else) + 1e-9),
            ),
        );
    }
}
