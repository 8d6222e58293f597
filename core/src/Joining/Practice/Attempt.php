<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Practice;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Families;
use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Simulation\Acceptance;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\Simulation\Trap;
use EmberDusk\Joining\StepBuilder;

/** Actions in a lesson, and their result at a moment: replayed on the simulated devices. */
final readonly class Attempt
{
    /**
     * @param  list<Event>  $log
     * @param  float  $until  run seconds
     */
    public function __construct(public Lesson $lesson, public array $log, public float $until) {}

    /**
     * The site at the end, with everything powered, ready for the tests.
     *
     * @param  list<Trap>  $without
     * @param  list<Flaw>|null  $flaws  null: those of the lesson
     * @param  float  $from  the traps catch again from then on
     */
    public function site(array $without = [], ?array $flaws = null, float $from = INF): SimulatedSite
    {
        $site = $this->fresh($without, $flaws);
        foreach ($this->log as $event) {
            if ($event->at > $from) {
                $site->advance($from);
                $site->withAll();
            }
            $site->apply($event);
        }
        $site->advance(max($this->until, $site->now()));
        foreach ($site->roster->units as $id => $unit) {
            if (StepBuilder::switched($unit)) {
                $site->apply(new Event($site->now(), Act::ON, $id));
            }
        }

        return $site;
    }

    /**
     * @param  list<Trap>  $without
     * @param  list<Flaw>|null  $flaws
     */
    public function fresh(array $without = [], ?array $flaws = null): SimulatedSite
    {
        return Families::site($this->lesson->roster, $this->lesson->seed, $flaws ?? $this->lesson->flaws, $without);
    }

    /** @return array<string, Observation> what each control does when it is pressed, by control and light */
    public static function pressed(SimulatedSite $site): array
    {
        return Acceptance::all($site);
    }

    /** @return list<ControlledLight> of what does not work */
    public static function unmet(SimulatedSite $site): array
    {
        $pressed = self::pressed($site);

        return array_values(
            array_filter(
                $site->roster->wants,
                static fn(ControlledLight $w): bool => ($pressed[$w->key()] ?? Observation::Nothing) !==
                    Observation::Expected,
            ),
        );
    }

    /** How many lines of an app were named that had never been switched: a guess, right or wrong. */
    public function guesses(): int
    {
        $switched = [];
        $guessed = [];
        foreach ($this->log as $event) {
            $words = $event->kind === Act::TAP ? explode(' ', $event->text, 2) : [''];
            $line = explode('=', $words[1] ?? '')[0];
            if ($words[0] === 'toggle') {
                $switched["{$event->device} {$line}"] = true;
            }
            if ($words[0] === 'name' && !isset($switched["{$event->device} {$line}"])) {
                $guessed["{$event->device} {$line}"] = true;
            }
        }

        return count($guessed);
    }

    /**
     * Lights whose line of an app bears another name than their own; where the lesson asks for names, none is wrong as well.
     *
     * @return array<string, string> the wrong name, by light; empty where it has none
     */
    public function misnamed(SimulatedSite $site): array
    {
        $wrong = [];
        foreach ($site->devices() as $device) {
            $given = $device->names();
            foreach ($this->lesson->names ? array_keys($device->list()) : array_keys($given) as $light) {
                $name = $given[$light] ?? '';
                if (mb_strtolower(trim($name)) !== mb_strtolower($site->roster->unit($light)->name)) {
                    $wrong[$light] = $name;
                }
            }
        }

        return $wrong;
    }
}
