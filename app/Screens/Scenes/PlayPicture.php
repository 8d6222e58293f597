<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use EmberDusk\Control\Agenda;
use EmberDusk\Control\PowerCuts;
use EmberDusk\Control\Priorities;
use EmberDusk\Control\Running;
use EmberDusk\Control\Sun;
use EmberDusk\Job\JobState;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Show;
use EmberDusk\Plan\Trigger;
use EmberDusk\Plan\Tuning;

/** Shows, what starts automatically and which of two wins, the day's times, and what each light does when its power returns. */
final readonly class PlayPicture
{
    /** @return list<ShowPicture> */
    public static function shows(Plan $plan): array
    {
        return array_values(
            array_map(static function (Show $show) use ($plan): ShowPicture {
                $running = new Running($plan, $show);

                return new ShowPicture(
                    id: $show->id,
                    name: $show->name,
                    kind: $show->kind,
                    says: $running->words(),
                    steps: $show->steps,
                    lights: $show->lights,
                    every: $show->every,
                    way: $show->way,
                    rounds: $show->rounds,
                    leader: $show->leader,
                    round: $running->round(),
                    ends: $running->ends(),
                    flashes: round($running->flashes(), 2),
                );
            }, $plan->shows),
        );
    }

    public static function starts(JobState $state): StartsPicture
    {
        $plan = $state->plan;
        $agenda = Agenda::for($plan, $state->today, $state->zone);
        $sun = $plan->position !== null ? (new Sun($plan->position, $state->zone))->on($state->today) : null;
        $priorities = new Priorities($plan);

        return new StartsPicture(
            kinds: self::options(Trigger::BY),
            triggers: array_values(
                array_map(
                    static fn(Trigger $t): TriggerPicture => new TriggerPicture(
                        id: $t->id,
                        by: $t->by,
                        on: $t->on,
                        days: $t->days,
                        minutes: $t->minutes,
                        plays: $t->plays,
                        priority: $t->priority,
                        after: $t->after,
                        words: $t->words(),
                        says: self::plays($plan, $t),
                        timed: $t->timed(),
                    ),
                    $plan->triggers,
                ),
            ),
            day: $state->today,
            sun: match (true) {
                $sun === null => '',
                $sun->rise === null || $sun->set === null => ucfirst($sun->why) . ' today.',
                default => 'Sunrise ' . Agenda::clock($sun->rise) . ', sunset ' . Agenda::clock($sun->set) . '.',
            },
            agenda: array_map(
                static fn(array $e): AgendaLine => new AgendaLine(
                    at: Agenda::clock($e['minutes']),
                    words: $e['trigger']->words(),
                    says: self::plays($plan, $e['trigger']),
                ),
                $agenda->entries,
            ),
            not: array_map(
                static fn(array $n): string => ucfirst($n['trigger']->words()) .
                    ' does not start today: ' .
                    $n['why'] .
                    '.',
                $agenda->not,
            ),
            table: array_map(
                static fn(array $row): TruthRow => new TruthRow(
                    on: array_map(static fn(Trigger $t): string => $t->words(), $row['on']),
                    wins: self::wins($plan, $row['wins']),
                ),
                $priorities->table(),
            ),
            position: $plan->position,
        );
    }

    /** @param  list<Unit>  $lights */
    public static function power(Plan $plan, array $lights): PowerPicture
    {
        $cuts = (new PowerCuts($plan))->for(array_combine(array_column($lights, 'id'), $lights));

        return new PowerPicture(
            curves: self::options(['' => 'factory setting'] + Tuning::CURVES),
            states: self::options(['' => 'factory setting'] + Tuning::POWER),
            lights: array_map(static function (Unit $u) use ($plan, $cuts): PowerLight {
                $is = $plan->tunings[$u->item] ?? new Tuning($u->item);

                return new PowerLight(
                    id: $u->item,
                    name: $plan->lights[$u->id]->name ?? $u->called(),
                    curve: $is->curve,
                    powerOn: $is->powerOn,
                    level: $is->level,
                    keeps: $u->leaflet->figure('keeps'),
                    cut: $cuts[$u->id] ?? '',
                );
            }, $lights),
        );
    }

    private static function plays(Plan $plan, Trigger $trigger): string
    {
        return $plan->scenes[$trigger->plays]->name ?? ($plan->shows[$trigger->plays]->name ?? 'everything off');
    }

    /**
     * @param  array<string, list<Trigger>>  $wins  by light
     * @return list<WinLine> lights of one winner together
     */
    private static function wins(Plan $plan, array $wins): array
    {
        $by = [];
        foreach ($wins as $light => $triggers) {
            $says = implode(' or ', array_map(static fn(Trigger $t): string => self::plays($plan, $t), $triggers));
            $by[$says]['names'][] = (new LightNames($plan))->of((string) $light);
            $by[$says]['fights'] = count($triggers) > 1;
        }

        return array_map(
            static fn(string $says, array $of): WinLine => new WinLine(
                lights: implode(', ', $of['names']),
                says: $says,
                fights: $of['fights'],
            ),
            array_keys($by),
            array_values($by),
        );
    }

    /**
     * @param  array<string, string>  $words
     * @return list<KeyedWords>
     */
    public static function options(array $words): array
    {
        return array_map(
            static fn(string $key, string $says): KeyedWords => new KeyedWords(key: $key, says: $says),
            array_keys($words),
            array_values($words),
        );
    }
}
