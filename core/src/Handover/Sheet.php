<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Checks\Checked;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\RunFigures;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\Recovery;
use EmberDusk\Joining\School;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Scene;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;

/** The sheet that is left with the client: what was laid, what it should read, what it is called, how to recover it. */
final readonly class Sheet
{
    public const CAUTION =
        'Predicted values, not an acceptance test. Isolate the mains before opening a box; mains work is for a licensed person. ' .
        'This sheet says what was checked; it does not say that the installation complies with local rules.';

    /**
     * @param  array<string, RunResult|mixed>  $results  by run
     * @param  list<string>  $joinLog  the last join run in words, with its times
     * @param  list<Finding>  $findings  what was still wrong or undecided, worst first
     * @param  list<array<string, mixed>>  $tested  as {@see Tested}
     * @param  list<Event>  $joined  the log of the run on site
     * @param  list<string>  $worked  what was pressed on site and answered, by control and light
     * @return array<string, mixed> as in app/Screens/Handover/handover.json, $defs/sheetPicture
     */
    public static function of(
        Plan $plan,
        array $results,
        array $joinLog,
        array $findings,
        int $revision,
        array $tested,
        array $joined = [],
        array $worked = [],
    ): array {
        $roster = Joinable::of($plan, new School(proves: false))->roster;

        return [
            'job' => $plan->name,
            'client' => $plan->client,
            'revision' => $revision,
            'engine' => Engine::VERSION,
            'runs' => array_map(
                static fn(Run $r): array => self::run(
                    $plan,
                    $r,
                    ($results[$r->id] ?? null) instanceof RunResult ? $results[$r->id] : null,
                ),
                array_values(array_filter($plan->runs, self::planned(...))),
            ),
            'missing' => self::missing($plan),
            'also' => self::also($plan),
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
            'hiding' => Left::hiding($plan),
            'board' => Left::board($plan, $worked),
            'plays' => Left::plays($plan),
            'power' => Left::power($plan, $roster),
            'cards' => Left::cards($roster),
            'lesson' => array_map(
                static fn(string $key, string $says): array => ['key' => $key, 'says' => $says],
                array_keys(Lesson::of($plan, $roster)),
                array_values(Lesson::of($plan, $roster)),
            ),
            'recovery' => array_map(
                static fn(Recovery $r): array => ['title' => $r->title, 'says' => $r->says, 'steps' => $r->steps()],
                $roster->wants === [] ? [] : Recovery::all($roster),
            ),
            'open' => array_map(static fn(Finding $f): string => $f->title, $findings),
            'checked' => Checked::of($plan, $findings),
            'caution' => self::CAUTION,
        ];
    }

    /** Whether anything of a run is chosen: what is not there has no tables. */
    private static function planned(Run $run): bool
    {
        return $run->strip !== null || $run->supply !== null || $run->controller !== null;
    }

    /** In one line what is measured and not planned. */
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
    private static function run(Plan $plan, Run $run, ?RunResult $result): array
    {
        $strip = $plan->strip($run->strip);
        $controller = $plan->controller($run->controller);
        $light = $plan->lights[$run->controller ?? ''] ?? null;
        $profile = $controller?->profile;

        $wiring = '';
        if ($plan->feedsOf($run) !== []) {
            $wiring = Wiring::svg($plan, $run);
        }
        $figures = [];
        if ($result !== null && $strip !== null) {
            $figures = array_values(
                array_map(
                    static fn(Figure $f): array => $f->toArray(),
                    array_filter([
                        RunFigures::load(
                            $strip,
                            $plan->cutMarks($run)?->length() ?? 0.0,
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
                                new \EmberDusk\Values\Input(
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
            'controller' => self::named($run->controller, $controller?->name()) ?? self::board($plan, $run),
            'light' => $light?->name,
            'room' => $light?->room,
            'reset' => $profile?->resetCard(),
            'cables' => self::cables($plan, $run, $result),
            'figures' => $figures,
        ];
    }

    /** Its supply, and the bank that a converter hangs on. */
    private static function supply(Plan $plan, Run $run): ?string
    {
        $bank = $plan->supplies[$run->supply ?? '']->bank ?? null;
        $named = self::named($run->supply, $plan->supply($run->supply)?->name());

        if ($bank === null) {
            return $named;
        }

        return "{$named}, from " . self::named($bank, $plan->supply($bank)?->name());
    }

    /** What drives the data of pixels. */
    private static function board(Plan $plan, Run $run): ?string
    {
        foreach ($plan->items as $item) {
            if ($item->on === $run->id && $plan->kit[$item->kit]->kind() === 'board') {
                return self::named($item->id, $plan->kit[$item->kit]->entry->name());
            }
        }

        return null;
    }

    /** @return list<string> kit beside the chains of the runs */
    private static function also(Plan $plan): array
    {
        return array_values(
            array_map(
                static fn(Item $i): string => "{$i->count} x {$plan->kit[$i->kit]->entry->name()}, " .
                    ($plan->places[$i->place]->name ?? ''),
                $plan->items,
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

    /** @return list<array<string, string>> trunk first, then tails from the run's start */
    private static function cables(Plan $plan, Run $run, ?RunResult $result): array
    {
        $rows = [];
        // From a bank to its converter, then on to the controller.
        foreach (array_filter([$plan->cableTo($run->supply ?? ''), $plan->cableTo($run->controller ?? '')]) as $trunk) {
            $rows[] = self::cable(
                plan: $plan,
                cable: $trunk,
                way: strtoupper($trunk->from) . ' to ' . strtoupper($trunk->to),
                volts: '',
                result: $result,
            );
        }
        foreach ($plan->feedsOf($run) as $feed) {
            $tail = $plan->cableTo($feed->id);
            if ($tail !== null) {
                $volts = $result->feeds[$feed->id] ?? null;
                $at = Figure::print($plan->cutMarks($run)?->position($feed->pad) ?? 0.0, 2);
                $rows[] = self::cable(
                    plan: $plan,
                    cable: $tail,
                    way: strtoupper($tail->from) . " to {$at} m of {$run->name()}",
                    volts: $volts === null ? '' : Figure::print($volts->volts, 2) . ' V',
                    result: $result,
                );
            }
        }

        return $rows;
    }

    /** @return array<string, string> */
    private static function cable(Plan $plan, LaidCable $cable, string $way, string $volts, ?RunResult $result): array
    {
        $of = $result->cables[$cable->id] ?? null;

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
            'length' => Figure::print($cable->length, 2) . ' m' . ($cable->reckoned ? ' (reckoned)' : ''),
            'volts' => $volts,
            'amps' => $amps,
            'drop' => $drop,
        ];
    }
}
