<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Control\Mixing;
use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;

/** The client's card for daily use: which control works which light, voice commands, and what works without the internet or the hub. */
final readonly class DayCard
{
    private function __construct(private Roster $roster) {}

    /**
     * @param  Roster  $roster joined devices
     * @param  list<Event>  $log  of the run on site
     * @return list<string>
     */
    public static function lines(Plan $plan, Roster $roster, array $log): array
    {
        return (new self($roster))->all($plan, $log);
    }

    /**
     * @param  list<Event>  $log  of the run on site
     * @return list<string>
     */
    private function all(Plan $plan, array $log): array
    {
        $lines = [];
        foreach ($this->roster->units as $unit) {
            $wants = $this->roster->wantsOf($unit->id);
            if ($wants !== []) {
                $lines[] = $this->control($plan, $unit, $wants);
            }
        }
        foreach ([Task::OFFLINE => 'Without the internet', Task::HUBLESS => 'Without the hub'] as $what => $title) {
            $lines = [...$lines, ...$this->tried($what, $title, $log)];
        }

        return $lines;
    }

    /** How bright each light is in a scene. */
    public static function scene(Plan $plan, Scene $scene): string
    {
        $says = [];
        foreach ($scene->levels as $of => $duties) {
            $level = Mixing::for($plan, (string) $of)?->level($duties) ?? max([0.0, ...$duties]);
            $says[] = sprintf('%s %d %%', (new LightNames($plan))->of((string) $of), (int) round(100 * $level));
        }

        return implode(', ', $says);
    }

    /** @param  list<ControlledLight>  $wants */
    private function control(Plan $plan, Unit $unit, array $wants): string
    {
        $name = fn(ControlledLight $w): string => $plan->lights[$w->light]->name ??
            $this->roster->unit($w->light)->name;
        if ($unit->role === Unit::ASSISTANT) {
            $first = $name($wants[0]);

            return "{$unit->called()}: say “{$first} on”, “{$first} 30 percent”, “all but {$first} off”. It knows " .
                implode(', ', array_map($name, $wants)) .
                '.';
        }
        $works = array_map(
            static fn(ControlledLight $w): string => $w->zone > 0 ? "zone {$w->zone} {$name($w)}" : $name($w),
            $wants,
        );

        return ($unit->role === Unit::PHONE ? 'The phone' : $unit->called()) . ': ' . implode(', ', $works) . '.';
    }

    /**
     * @param  list<Event>  $log
     * @return list<string>
     */
    private function tried(string $what, string $title, array $log): array
    {
        $works = ['yes' => [], 'no' => []];
        foreach ($log as $event) {
            if ($event->step?->what() === $what && $event->step->kind === JoinStep::STILL && $event->seen !== null) {
                $control = $event->step->device();
                $works[$event->seen === Observation::Expected ? 'yes' : 'no'][] = $this->roster->has($control)
                    ? $this->roster->unit($control)->called()
                    : strtoupper($control);
            }
        }

        return array_values(
            array_filter([
                $works['yes'] === [] ? '' : "{$title} these still work: " . implode(', ', $works['yes']) . '.',
                $works['no'] === [] ? '' : "{$title} these do not: " . implode(', ', $works['no']) . '.',
            ]),
        );
    }
}
