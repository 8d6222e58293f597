<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Checks\CheckList;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Circuit\CableResult;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\RunFigures;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\Recovery;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Plan\BoardSetting;
use EmberDusk\Plan\BoardSettings;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Scene;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Input;

/** The hand-over sheet: the installation, its expected readings, its names, and recovery steps. */
final readonly class Sheet
{
    private const CAUTION =
        'Predicted values, not an acceptance test. %s' .
        'This sheet lists what was checked. It does not state that the installation complies with local rules.';

    private const MAINS = 'Isolate the mains before opening a box; mains work is for a licensed person. ';

    private const BATTERY = 'Isolate the battery before opening a box, and cover its posts. ';

    /**
     * @param  list<string>  $joinLog  the last join run in words, with its times
     * @param  list<Finding>  $findings open findings, worst first
     * @param  list<array<string, mixed>>  $tested  as {@see TestRecord}
     * @param  list<Event>  $joined  the log of the run on site
     * @param  list<string>  $worked controls tested on site that worked, by control and light
     * @param  array<string, string>  $tried  on which day and by whom that was, by control and light
     * @return array<string, mixed> as in app/Screens/Handover/handover.json, $defs/sheetPicture
     */
    public static function for(
        JudgedJob $job,
        array $joinLog,
        array $findings,
        int $revision,
        array $tested,
        array $joined = [],
        array $worked = [],
        array $tried = [],
    ): array {
        $plan = $job->plan;
        $roster = Joinable::for($plan, new TimingMethod(proves: false))->roster;
        $recovery = self::recovery($roster);

        return [
            'job' => $plan->name,
            'client' => $plan->client,
            'revision' => $revision,
            'engine' => Engine::VERSION,
            'runs' => array_map(
                static fn(Run $r): array => self::run($job, $r),
                array_values(array_filter($plan->runs, self::planned(...))),
            ),
            'cables' => self::otherCables($job),
            'missing' => self::missing($plan),
            'also' => self::also($plan, $roster),
            'hub' => $plan->hub(array_key_first($plan->hubs))?->name(),
            'join' => $joinLog,
            'tested' => $tested,
            'scenes' => array_values(
                array_map(
                    static fn(Scene $s): array => ['name' => $s->name, 'says' => DayCard::scene($plan, $s)],
                    $plan->scenes,
                ),
            ),
            'day' => DayCard::lines($plan, $roster, $joined),
            'hiding' => HandoverFacts::hiding($plan, $roster),
            'board' => HandoverFacts::board($plan, $worked, $tried),
            'plays' => HandoverFacts::plays($plan),
            'power' => HandoverFacts::power($plan, $roster),
            'cards' => HandoverFacts::cards($roster),
            'lesson' => array_map(
                static fn(string $key, string $says): array => ['key' => $key, 'says' => $says],
                array_keys(ClientLesson::for($plan, $roster)),
                array_values(ClientLesson::for($plan, $roster)),
            ),
            'recovery' => $recovery,
            'losses' => self::losses($recovery),
            'open' => array_map(static fn(Finding $f): string => $f->title, $findings),
            'checked' => CheckList::from($plan, $findings),
            'caution' => sprintf(self::CAUTION, $plan->power()->onMains() ? self::MAINS : self::BATTERY),
        ];
    }

    /**
     * Steps back, each under its mark in the annex; one that repeats an earlier one refers to it.
     *
     * @return list<array{mark: string, what: string, title: string, says: string, same: string, steps: list<string>}>
     */
    private static function recovery(Roster $roster): array
    {
        $guides = $marks = [];
        foreach ($roster->wants === [] ? [] : Recovery::all($roster) as $n => $recovery) {
            $mark = 'R' . ($n + 1);
            $steps = $recovery->steps();
            $key = implode("\n", $steps);
            $same = $steps === [] ? '' : $marks[$key] ?? '';
            $marks[$key] ??= $mark;
            $guides[] = [
                'mark' => $mark,
                'what' => $recovery->what,
                'title' => $recovery->title,
                'says' => $recovery->says,
                'same' => $same,
                'steps' => $steps,
            ];
        }

        return $guides;
    }

    /**
     * The same for the client, a line for each kind of loss.
     *
     * @param  list<array{mark: string, what: string, title: string, says: string, same: string, steps: list<string>}>  $recovery
     * @return list<array{title: string, says: string, steps: string}>
     */
    private static function losses(array $recovery): array
    {
        $losses = [];
        foreach ($recovery as $guide) {
            $many = in_array($guide['what'], [Recovery::CONTROLLER, Recovery::HUB], true);
            $key = $many ? $guide['what'] : $guide['mark'];
            $losses[$key] ??= [
                'title' => $guide['what'] === Recovery::CONTROLLER ? 'A controller is replaced' : $guide['title'],
                'says' => $guide['says'],
                'marks' => [],
            ];
            if ($guide['steps'] !== []) {
                $of = $guide['what'] === Recovery::CONTROLLER ? strtok($guide['title'], ' ,') . ': ' : '';
                $losses[$key]['marks'][] = $of . ($guide['same'] === '' ? $guide['mark'] : $guide['same']);
            }
        }

        return array_values(
            array_map(
                static fn(array $l): array => [
                    'title' => $l['title'],
                    'says' => $l['says'],
                    'steps' => $l['marks'] === [] ? '' : 'Steps in the annex: ' . implode(', ', $l['marks']) . '.',
                ],
                $losses,
            ),
        );
    }

    /** Whether a run has any kit: empty runs have no tables. */
    private static function planned(Run $run): bool
    {
        return $run->strip !== null || $run->supply !== null || $run->controller !== null;
    }

    /** Measured runs without kit, in one line. */
    private static function missing(Plan $plan): string
    {
        $names = array_map(
            static fn(Run $r): string => "{$r->name()} ({$plan->places[$r->place]->name})",
            array_filter($plan->runs, static fn(Run $r): bool => !self::planned($r)),
        );

        if ($names === []) {
            return '';
        }

        return 'Measured and without kit: ' . implode(', ', $names) . '.';
    }

    /** @return array<string, mixed> */
    private static function run(JudgedJob $job, Run $run): array
    {
        $plan = $job->plan;
        $result = $job->result($run->id);
        $strip = $plan->strip($run->strip);
        $controller = $plan->controller($run->controller);
        $light = $plan->lights[$run->controller ?? ''] ?? null;
        $profile = $controller?->profile;

        $wiring = $plan->ways()->feedsOf($run) !== [] ? WiringDiagram::svg($plan, $run) : '';
        $figures = [];
        if ($result !== null && $strip !== null) {
            $figures = array_values(
                array_map(
                    static fn(Figure $f): array => $f->write(),
                    array_filter([
                        RunFigures::load(
                            $strip,
                            $plan->litLength($run),
                            RunFigures::LOAD[(int) ($run->cap < 1)],
                            $run->cap,
                        ),
                        new Figure(
                            label: 'Volts at the supply',
                            value: $result->supplyVolts,
                            unit: 'V',
                            decimals: 2,
                            formula: 'V',
                            inputs: [
                                new Input(
                                    'V',
                                    'solved, all full',
                                    $result->supplyVolts,
                                    'V',
                                    path: 'solver.supplyVolts',
                                ),
                            ],
                        ),
                        $controller === null
                            ? null
                            : RunFigures::controllerAmps($result, strtoupper((string) $run->controller)),
                        RunFigures::darkest($result),
                        RunFigures::evenness($result),
                        RunFigures::drop($result),
                        RunFigures::heat($result),
                    ]),
                ),
            );
        }

        return [
            'id' => $run->id,
            'wiring' => $wiring,
            'name' => $run->name(),
            'place' => $plan->places[$run->place]->name,
            'strip' => $strip?->name(),
            'length' => Figure::print($plan->cutMarks($run)?->length() ?? $run->length(), 2) . ' m',
            'supply' => self::supply($plan, $run),
            'controller' => self::named($run->controller, $controller?->name()),
            'data' => array_map(static fn(BoardSetting $s): string => $s->words(), BoardSettings::ofRun($plan, $run)),
            'light' => $light?->name,
            'room' => $light?->room,
            'reset' => $profile?->resetCard(),
            'cables' => self::cables($job, $run),
            'figures' => $figures,
        ];
    }

    /** Its supply, and the bank that feeds a converter. */
    private static function supply(Plan $plan, Run $run): ?string
    {
        $bank = $plan->supplies[$run->supply ?? '']->bank ?? null;
        $named = self::named($run->supply, $plan->supply($run->supply)?->name());

        if ($bank === null) {
            return $named;
        }

        return "{$named}, from " . self::named($bank, $plan->supply($bank)?->name());
    }

    /** @return list<string> kit beside the chains of the runs */
    private static function also(Plan $plan, Roster $roster): array
    {
        return array_values(
            array_map(
                static fn(Item $i): string => "{$i->count} x {$plan->kit[$i->kit]->entry->name()}, " .
                    ($plan->places[$i->place]->name ?? ''),
                // Joined units are listed with their place.
                array_filter(
                    $plan->items,
                    static fn(Item $i): bool => HandoverFacts::label($roster, $i->id) === strtoupper($i->id),
                ),
            ),
        );
    }

    private static function named(?string $id, ?string $name): ?string
    {
        if ($name === null) {
            return null;
        }

        return strtoupper((string) $id) . ' · ' . $name;
    }

    /** @return list<array<string, string>> from the bank or supply outwards, then the feeds from the run's start */
    private static function cables(JudgedJob $job, Run $run): array
    {
        $plan = $job->plan;
        $ways = [];
        foreach ([...$plan->ways()->suppliesOf($run), $run->controller] as $unit) {
            $ways += $unit === null ? [] : array_reverse($plan->ways()->wayTo($unit));
        }
        foreach ($plan->ways()->feedsOf($run) as $feed) {
            $ways += array_reverse($plan->ways()->wayTo($feed->id));
        }
        $result = $job->result($run->id);
        $rows = [];
        foreach ($ways as $cable) {
            $to = strtoupper($cable->to);
            $volts = '';
            $feed = $plan->feeds[$cable->to] ?? null;
            if ($feed !== null) {
                $at = Figure::print($plan->cutMarks($run)?->position($feed->pad) ?? 0.0, 2);
                $to = "{$at} m of {$run->name()}";
                $of = $result->feeds[$cable->to] ?? null;
                $volts = $of === null ? '' : Figure::print($of->volts, 2) . ' V';
            }
            $rows[] = self::cable(
                plan: $plan,
                cable: $cable,
                way: strtoupper($cable->from) . " to {$to}",
                volts: $volts,
                // The current from a bank to its converter is not in the run's circuit.
                of: $result->cables[$cable->id] ?? ($job->cables()[$cable->id] ?? null),
            );
        }

        return $rows;
    }

    /** @return list<array<string, string>> cables to no run: to fixtures, and spare ones */
    private static function otherCables(JudgedJob $job): array
    {
        $listed = [];
        foreach (array_filter($job->plan->runs, self::planned(...)) as $run) {
            $listed += $job->plan->ways()->waysOf($run);
        }
        $rows = [];
        foreach (array_diff_key($job->plan->cables, $listed) as $cable) {
            $rows[] = self::cable(
                plan: $job->plan,
                cable: $cable,
                way: strtoupper($cable->from) . ' to ' . strtoupper($cable->to),
                volts: '',
                of: $job->cables()[$cable->id] ?? null,
            );
        }

        return $rows;
    }

    /** @return array<string, string> */
    private static function cable(Plan $plan, LaidCable $cable, string $way, string $volts, ?CableResult $of): array
    {
        $amps = '';
        $drop = '';
        if ($of !== null) {
            $amps = Figure::print($of->amps(), 2) . ' A';
            $drop = Figure::print($of->drop, 2) . ' V';
        }

        return [
            'id' => strtoupper($cable->id),
            'way' => $way,
            'kit' => $plan->cable($cable->kit)?->name() ?? '',
            'length' => Figure::print($cable->length, 2) . ' m' . ($cable->reckoned ? ' (calculated)' : ''),
            'volts' => $volts,
            'amps' => $amps,
            'drop' => $drop,
        ];
    }
}
