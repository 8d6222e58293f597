<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Checks\CheckList;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Circuit\CableResult;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\LoadFigures;
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

/** Writes the hand-over sheet of a job. */
final readonly class SheetBuilder
{
    private const CAUTION =
        'Predicted values, not an acceptance test. %s' .
        'This sheet lists what was checked. It does not state that the installation complies with local rules.';

    private const MAINS = 'Isolate the mains before opening a box; mains work is for a licensed person. ';

    private const BATTERY = 'Isolate the battery before opening a box, and cover its posts. ';

    private Plan $plan;

    private Roster $roster;

    public function __construct(private JudgedJob $job)
    {
        $this->plan = $job->plan;
        $this->roster = Joinable::for($this->plan, new TimingMethod(proves: false))->roster;
    }

    /**
     * @param  list<string>  $joinLog  the last join run in words, with its times
     * @param  list<Finding>  $findings open findings, worst first
     * @param  list<SheetTested>  $tested
     * @param  list<Event>  $joined  the log of the run on site
     * @param  list<string>  $worked controls tested on site that worked, by control and light
     * @param  array<string, string>  $tried  on which day and by whom that was, by control and light
     */
    public function sheet(
        array $joinLog,
        array $findings,
        int $revision,
        array $tested,
        array $joined = [],
        array $worked = [],
        array $tried = [],
    ): Sheet {
        $plan = $this->plan;
        $facts = new HandoverFacts($plan);
        $lesson = ClientLesson::for($plan, $this->roster);
        $recovery = $this->recovery();

        return new Sheet(
            job: $plan->name,
            client: $plan->client,
            revision: $revision,
            engine: Engine::VERSION,
            runs: array_values(array_map($this->run(...), array_filter($plan->runs, self::planned(...)))),
            cables: $this->otherCables(),
            missing: $this->missing(),
            also: $this->also(),
            hub: $plan->hub(array_key_first($plan->hubs))?->name(),
            join: $joinLog,
            tested: $tested,
            scenes: array_values(
                array_map(
                    static fn(Scene $s): SheetScene => new SheetScene($s->name, DayCard::scene($plan, $s)),
                    $plan->scenes,
                ),
            ),
            day: DayCard::lines($plan, $this->roster, $joined),
            hiding: $facts->hiding($this->roster),
            board: $facts->board($worked, $tried),
            plays: $facts->plays(),
            power: $facts->power($this->roster),
            cards: HandoverFacts::cards($this->roster),
            lesson: array_map(
                static fn(string $key, string $says): LessonPoint => new LessonPoint($key, $says),
                array_keys($lesson),
                array_values($lesson),
            ),
            recovery: $recovery,
            losses: self::losses($recovery),
            open: array_map(static fn(Finding $f): string => $f->title, $findings),
            checked: CheckList::from($plan, $findings),
            caution: sprintf(self::CAUTION, $plan->power()->onMains() ? self::MAINS : self::BATTERY),
        );
    }

    /** @return list<RecoveryGuide> */
    private function recovery(): array
    {
        $guides = $marks = [];
        foreach ($this->roster->wants === [] ? [] : Recovery::all($this->roster) as $n => $recovery) {
            $mark = 'R' . ($n + 1);
            $steps = $recovery->steps();
            $key = implode("\n", $steps);
            $same = $steps === [] ? '' : $marks[$key] ?? '';
            $marks[$key] ??= $mark;
            $guides[] = new RecoveryGuide(
                mark: $mark,
                what: $recovery->what,
                title: $recovery->title,
                says: $recovery->says,
                same: $same,
                steps: $steps,
            );
        }

        return $guides;
    }

    /**
     * @param  list<RecoveryGuide>  $recovery
     * @return list<SheetLoss>
     */
    private static function losses(array $recovery): array
    {
        $kinds = [];
        foreach ($recovery as $guide) {
            $many = in_array($guide->what, [Recovery::CONTROLLER, Recovery::HUB], true);
            $kinds[$many ? $guide->what : $guide->mark][] = $guide;
        }

        return array_map(self::loss(...), array_values($kinds));
    }

    /** @param  non-empty-list<RecoveryGuide>  $guides  of one kind of loss */
    private static function loss(array $guides): SheetLoss
    {
        $first = $guides[0];
        $controller = $first->what === Recovery::CONTROLLER;
        $marks = [];
        foreach ($guides as $guide) {
            if ($guide->steps !== []) {
                $of = $controller ? strtok($guide->title, ' ,') . ': ' : '';
                $marks[] = $of . ($guide->same === '' ? $guide->mark : $guide->same);
            }
        }

        return new SheetLoss(
            title: $controller ? 'A controller is replaced' : $first->title,
            says: $first->says,
            steps: $marks === [] ? '' : 'Steps in the annex: ' . implode(', ', $marks) . '.',
        );
    }

    /** Whether a run has any kit: empty runs have no tables. */
    private static function planned(Run $run): bool
    {
        return $run->strip !== null || $run->supply !== null || $run->controller !== null;
    }

    /** Measured runs without kit, in one line. */
    private function missing(): string
    {
        $names = array_map(
            fn(Run $r): string => "{$r->name()} ({$this->plan->places[$r->place]->name})",
            array_filter($this->plan->runs, static fn(Run $r): bool => !self::planned($r)),
        );

        if ($names === []) {
            return '';
        }

        return 'Measured and without kit: ' . implode(', ', $names) . '.';
    }

    private function run(Run $run): SheetRunRecord
    {
        $plan = $this->plan;
        $strip = $plan->strip($run->strip);
        $controller = $plan->controller($run->controller);
        $light = $plan->lights[$run->controller ?? ''] ?? null;
        $profile = $controller?->profile;

        $wiring = $plan->ways()->feedsOf($run) !== [] ? WiringDiagram::svg($plan, $run) : '';

        return new SheetRunRecord(
            id: $run->id,
            wiring: $wiring,
            name: $run->name(),
            place: $plan->places[$run->place]->name,
            strip: $strip?->name(),
            length: $plan->terms->say($plan->of($run)->cutMarks()?->length() ?? $run->length()),
            supply: $this->supply($run),
            controller: self::named($run->controller, $controller?->name()),
            data: array_map(static fn(BoardSetting $s): string => $s->words(), BoardSettings::ofRun($plan, $run)),
            light: $light?->name,
            room: $light?->room,
            reset: $profile?->resetCard(),
            cables: $this->cables($run),
            figures: $this->figures($run),
        );
    }

    /** @return list<Figure> predicted, all full; none before it is wired */
    private function figures(Run $run): array
    {
        $result = $this->job->result($run->id);
        $strip = $this->plan->strip($run->strip);
        if ($result === null || $strip === null) {
            return [];
        }
        $volts = new Input('V', 'solved, all full', $result->supplyVolts, 'V', path: 'solver.supplyVolts');

        return array_values(
            array_filter([
                LoadFigures::load(
                    $strip,
                    $this->plan->of($run)->litLength(),
                    LoadFigures::LOAD[(int) ($run->cap < 1)],
                    $run->cap,
                ),
                new Figure(
                    label: 'Volts at the supply',
                    value: $result->supplyVolts,
                    unit: 'V',
                    decimals: 2,
                    formula: 'V',
                    inputs: [$volts],
                ),
                $this->plan->controller($run->controller) === null
                    ? null
                    : (new RunFigures($result))->controllerAmps(strtoupper((string) $run->controller)),
                (new RunFigures($result))->darkest(),
                (new RunFigures($result))->evenness(),
                (new RunFigures($result))->drop(),
                (new RunFigures($result))->heat(),
            ]),
        );
    }

    /** Its supply, and the bank that feeds a converter. */
    private function supply(Run $run): ?string
    {
        $bank = $this->plan->supplies[$run->supply ?? '']->bank ?? null;
        $named = self::named($run->supply, $this->plan->supply($run->supply)?->name());

        if ($bank === null) {
            return $named;
        }

        return "{$named}, from " . self::named($bank, $this->plan->supply($bank)?->name());
    }

    /** @return list<string> kit beside the chains of the runs */
    private function also(): array
    {
        return array_values(
            array_map(
                fn(Item $i): string => "{$i->count} x {$this->plan->kit[$i->kit]->entry->name()}, " .
                    ($this->plan->places[$i->place]->name ?? ''),
                // Joined units are listed with their place.
                array_filter(
                    $this->plan->items,
                    fn(Item $i): bool => HandoverFacts::label($this->roster, $i->id) === strtoupper($i->id),
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

    /** @return list<SheetCable> from the bank or supply outwards, then the feeds from the run's start */
    private function cables(Run $run): array
    {
        $plan = $this->plan;
        $ways = [];
        foreach ([...$plan->ways()->suppliesOf($run), $run->controller] as $unit) {
            $ways += $unit === null ? [] : array_reverse($plan->ways()->wayTo($unit));
        }
        foreach ($plan->ways()->feedsOf($run) as $feed) {
            $ways += array_reverse($plan->ways()->wayTo($feed->id));
        }
        $result = $this->job->result($run->id);
        $rows = [];
        foreach ($ways as $cable) {
            $to = strtoupper($cable->to);
            $volts = '';
            $feed = $plan->feeds[$cable->to] ?? null;
            if ($feed !== null) {
                $at = $plan->terms->say($plan->of($run)->marks()->position($feed->pad));
                $to = "{$at} of {$run->name()}";
                $of = $result->feeds[$cable->to] ?? null;
                $volts = $of === null ? '' : Figure::print($of->volts, 2) . ' V';
            }
            $rows[] = $this->cable(
                cable: $cable,
                way: strtoupper($cable->from) . " to {$to}",
                volts: $volts,
                // The current from a bank to its converter is not in the run's circuit.
                of: $result->cables[$cable->id] ?? ($this->job->cables()[$cable->id] ?? null),
            );
        }

        return $rows;
    }

    /** @return list<SheetCable> cables to no run: to fixtures, and spare ones */
    private function otherCables(): array
    {
        $listed = [];
        foreach (array_filter($this->plan->runs, self::planned(...)) as $run) {
            $listed += $this->plan->ways()->waysOf($run);
        }
        $rows = [];
        foreach (array_diff_key($this->plan->cables, $listed) as $cable) {
            $rows[] = $this->cable(
                cable: $cable,
                way: strtoupper($cable->from) . ' to ' . strtoupper($cable->to),
                volts: '',
                of: $this->job->cables()[$cable->id] ?? null,
            );
        }

        return $rows;
    }

    private function cable(LaidCable $cable, string $way, string $volts, ?CableResult $of): SheetCable
    {
        $amps = '';
        $drop = '';
        if ($of !== null) {
            $amps = Figure::print($of->amps(), 2) . ' A';
            $drop = Figure::print($of->drop, 2) . ' V';
        }

        return new SheetCable(
            id: strtoupper($cable->id),
            way: $way,
            kit: $this->plan->cable($cable->kit)?->name() ?? '',
            length: $this->plan->terms->say($cable->length) . ($cable->reckoned ? ' (calculated)' : ''),
            volts: $volts,
            amps: $amps,
            drop: $drop,
        );
    }
}
