<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Joining\Ability;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\Simulation\LightCommand;
use EmberDusk\Joining\Simulation\SimulatedLight;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\NoSolution;

/** Voice command to the assistants of a job: its meaning, and the responding simulated lights, joined as planned. */
final readonly class Assistants
{
    public function __construct(private Plan $plan) {}

    public function say(string $said): CommandResult
    {
        $roster = RosterOfPlan::for($this->plan, new TimingMethod());
        $lights = array_filter($roster->units, static fn(Unit $u): bool => $u->lights());
        $vocabulary = Vocabulary::for($this->plan, $lights);
        $heard = (new Speech($vocabulary))->hear($said);
        $joinable = Joinable::for($this->plan, new TimingMethod(proves: false));
        $hearing = array_filter(
            $joinable->roster->units,
            static fn(Unit $u): bool => $u->role === Unit::ASSISTANT ||
                ($u->role === Unit::HUB && $u->name === 'Assistant'),
        );
        if ($hearing === []) {
            return new CommandResult(
                $heard,
                $heard->words($vocabulary),
                [],
                'This job has no voice assistant. Choose one at Kit.',
            );
        }
        $site =
            Rehearsal::run($joinable->roster, 1)->run->site() ??
            throw new NoSolution('There are no simulated devices.');
        $answers = [];
        $played = $this->played($heard->scene);
        foreach ($heard->scene === '' ? $heard->lights : array_map(strval(...), array_keys($played)) as $id) {
            if (isset($vocabulary->lights[$id])) {
                $level = $heard->scene === '' ? $heard->level : $played[$id];
                $answers[] = self::answer(
                    $roster,
                    $vocabulary,
                    $site,
                    array_keys($hearing),
                    (string) $id,
                    $heard,
                    $level,
                );
            }
        }
        $none = $answers !== [] && array_filter($answers, static fn(SpokenLight $a): bool => $a->answers) === [];

        return new CommandResult(
            $heard,
            $heard->words($vocabulary),
            $answers,
            $none ? 'No light answers: none of these is worked by an assistant of the job.' : '',
            self::note($vocabulary, $said, $heard),
        );
    }

    /** @return array<string, float> levels by light of a scene, or of a show at its start */
    private function played(string $id): array
    {
        $show = $this->plan->shows[$id] ?? null;
        $duties = $show === null ? $this->plan->scenes[$id]->levels ?? [] : (new Running($this->plan, $show))->at(0.5);
        $levels = [];
        foreach ($duties as $light => $of) {
            $levels[$light] = Mixing::for($this->plan, (string) $light)?->level($of) ?? max([0.0, ...$of]);
        }

        return $levels;
    }

    /** A room was named, with more lights than the speaker may expect. */
    private static function note(Vocabulary $vocabulary, string $said, CommandMeaning $heard): string
    {
        foreach ($vocabulary->rooms as $room => $lights) {
            if (
                count($lights) > 1 &&
                array_diff($lights, $heard->lights) === [] &&
                mb_stripos($said, (string) $room) !== false
            ) {
                return "“{$room}” is a room: all " . count($lights) . ' lights of it are meant.';
            }
        }

        return '';
    }

    /**
     * @param  list<string>  $hearing
     */
    private static function answer(
        Roster $roster,
        Vocabulary $vocabulary,
        SimulatedSite $site,
        array $hearing,
        string $id,
        CommandMeaning $heard,
        ?float $level,
    ): SpokenLight {
        $light = $site->devices()[$id] ?? null;
        $reaching =
            $light instanceof SimulatedLight
                ? array_filter($hearing, static fn(string $a): bool => $site->device($a)->reaches($light, $id, 0))
                : [];
        $reached = $light instanceof SimulatedLight && $reaching !== [];
        $why = 'no voice assistant of the job controls it';
        if ($reached) {
            $able = array_merge(
                ...array_map(
                    static fn(string $a): array => $roster->has($a) ? $roster->abilities($a, $id) : [],
                    array_values($reaching),
                ),
            );
            $why = self::cannot($heard, $vocabulary->kinds[$id], $able);
        }
        if ($reached && $heard->step !== null) {
            $level = max(0.0, min(1.0, $light->level() + $heard->step));
        }
        if ($reached && $level !== null) {
            $light->obey(new LightCommand($level));
        }

        return new SpokenLight(
            light: $id,
            name: $vocabulary->lights[$id],
            answers: $reached && $why === '',
            why: $why,
            level: $light instanceof SimulatedLight ? $light->level() : 0.0,
        );
    }

    /**
     * Reason why a light cannot follow the command, by its channels or the assistants; empty if it can.
     *
     * @param  list<Ability>  $able abilities of the assistants for it
     */
    private static function cannot(CommandMeaning $heard, string $kind, array $able): string
    {
        $asked = array_values(
            array_filter([
                $heard->colour !== '' && $heard->colour !== 'white' ? Ability::Colour : null,
                $heard->kelvin !== null || $heard->warmer !== null ? Ability::White : null,
            ]),
        );
        foreach ($asked as $ability) {
            if (!in_array($ability, Ability::ofKind($kind), true)) {
                return $ability === Ability::Colour ? 'it has no colours' : 'its white is fixed';
            }
            if (!in_array($ability, $able, true)) {
                return "the assistant cannot set its {$ability->words()}";
            }
        }

        return '';
    }
}
