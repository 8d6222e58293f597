<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Joining\Belief\Chooser;
use EmberDusk\Joining\Belief\MostTold;
use EmberDusk\Joining\Order\Order;
use EmberDusk\Joining\Simulation\Acceptance;
use EmberDusk\Joining\Simulation\SimulatedLight;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\Simulation\Trap;
use EmberDusk\Values\NoSolution;

/** Plays a join run with simulated hands that follow the guide, and eyes that read the simulated devices. */
final readonly class Rehearsal
{
    /** Seconds from reading a step to doing it. */
    private const REACTION = 2.0;

    private const MOST_STEPS = 1_500;

    /**
     * @param  array<string, Observation>  $tried  what each control does at the end, by control and light
     * @param  list<string>  $found  keys of the faults that were named and fixed
     * @param  array<string, string>  $aside unexplained failures, by task
     * @param  list<array{float, JoinStep}>  $trail steps with their times
     */
    private function __construct(
        public LiveRun $run,
        public float $seconds,
        public int $steps,
        public array $tried,
        public array $found,
        public array $aside,
        public array $trail,
    ) {}

    public function works(): bool
    {
        return array_filter($this->tried, static fn(Observation $s): bool => $s !== Observation::Expected) === [];
    }

    /**
     * @param  list<Flaw>  $flaws
     * @param  list<OrderRule>  $dropped
     * @param  list<Trap>  $without
     * @param  float  $wrong  share of the answers that are wrong
     *
     * @throws NoSolution when the hands never finish
     */
    public static function run(
        Roster $roster,
        int $seed,
        array $flaws = [],
        array $dropped = [],
        array $without = [],
        float $wrong = 0.0,
        Chooser $chooser = new MostTold(),
    ): self {
        $run = new LiveRun(
            roster: $roster,
            tasks: Order::for($roster, $dropped),
            seed: $seed,
            flaws: $flaws,
            dropped: $dropped,
            without: $without,
            chooser: $chooser,
        );
        $site = $run->site() ?? throw new NoSolution('A rehearsal needs simulated devices.');
        $now = 0.0;
        $trail = [];
        for ($n = 0; $n < self::MOST_STEPS; $n++) {
            // The step is read when the hands are ready.
            $run->settle($now += self::REACTION);
            $step = $run->next($now);
            if ($step->look === Look::End) {
                return new self(
                    run: $run,
                    seconds: $now,
                    steps: $n,
                    tried: Acceptance::all($site),
                    found: array_map(static fn($s): string => $s->key(), $run->progress()->found()),
                    aside: $run->progress()->marks->aside,
                    trail: $trail,
                );
            }
            $opens = $step->window[0] ?? 0.0;
            if ($opens > $now) {
                $now = $opens;

                continue;
            }
            $trail[] = [$now, $step];
            $errs = $wrong > 0.0 && $site->dice->between(0, 1, "errs {$n}") < $wrong;
            $now = self::answer($run, $site, $step, $now, $errs);
        }

        throw new NoSolution('The rehearsal does not end: see the log of a live run.');
    }

    /** @return float when the answer was given */
    private static function answer(LiveRun $run, SimulatedSite $site, JoinStep $step, float $now, bool $errs): float
    {
        $device = $step->device;
        switch ($step->look) {
            case Look::Hand:
                // The way through the app counts like a walk.
                $new = $run->work($step->key(), $now + $step->before);

                return $new[count($new) - 1]->at + $step->waits;
            case Look::Mend:
                $was = $site->has($step->kind, $device) !== $errs;
                $run->act(Event::MENDED, $device, $now + $step->waits, $step->kind . '|' . ($was ? 'yes' : 'no'));

                return $now + $step->waits;
            case Look::Name:
                $run->act(
                    Event::NAMED,
                    $device,
                    $now,
                    $run->roster->unit($device)->name . ', ' . $run->roster->unit($device)->room,
                );

                return $now;
            default:
                [$at, $seen] = self::see($run, $site, $step, $now);
                if ($seen === null) {
                    return $at;
                }
                if ($errs && $step->look !== Look::List) {
                    $seen = $seen === Observation::Expected ? Observation::Nothing : Observation::Expected;
                    $at = max($at, $run->next($at)->lookUntil ?? $at);
                }
                $run->act(Event::SAW, $device, $at, $step->key() . '|' . $seen->value);

                return $at;
        }
    }

    /** @return array{float, Observation|null} time and observation; null where a list's line came first */
    private static function see(LiveRun $run, SimulatedSite $site, JoinStep $step, float $now): array
    {
        $before = self::lit($site, $now);
        $from = self::last($run, $step->watches, $now);
        $new = [];
        if ($step->look !== Look::Try) {
            $new = $step->acts === [] ? [] : $run->work($step->key(), $now);
        }
        if ($new !== []) {
            $from = $new[0]->at;
        }
        $acted = $new === [] ? $now : $new[count($new) - 1]->at;
        switch ($step->look) {
            case Look::Try:
                if ($step->kind === JoinStep::RETURNS) {
                    return [$now + 2.0, $site->isLit($step->watches) ? Observation::Expected : Observation::Nothing];
                }
                [, $control, $light] = explode(' ', $step->task);
                foreach ($run->roster->wantsOf($control) as $want) {
                    if ($want->light === $light) {
                        return [$now + 6.0, Acceptance::for($site, $want)];
                    }
                }

                return [$now, Observation::Nothing];
            case Look::List:
                for ($at = $now; $at < $now + $step->waits; $at += 1.0) {
                    if ($run->settle($at) !== [] || $run->next($at)->look !== Look::List) {
                        return [$at, null];
                    }
                }

                return [$at, Observation::Nothing];
            case Look::Lights:
                $run->settle($acted + 0.5);
                $changed = array_keys(array_diff_assoc(self::lit($site, $acted + 0.5), $before));

                return [
                    $acted + 1.0,
                    match (true) {
                        $changed === [$step->watches] => Observation::Expected,
                        $changed === [] => Observation::Nothing,
                        default => Observation::Elsewhere,
                    },
                ];
            case Look::Says:
                $run->settle($acted + $step->waits);

                return [
                    $acted + $step->waits,
                    $site->device($step->watches)->says($step->signal) ? Observation::Expected : Observation::Nothing,
                ];
            default:
                return self::lamp($run, $site, $step, $from, $acted);
        }
    }

    /** @return array{float, Observation} */
    private static function lamp(LiveRun $run, SimulatedSite $site, JoinStep $step, float $from, float $acted): array
    {
        $until = $step->acts === [] ? max($step->window[1] ?? 0.0, $acted + 0.5) : $acted + $step->waits;
        for ($at = $acted; $at <= $until + 0.5; $at += 0.5) {
            $run->settle($at);
            if (in_array($step->signal, $site->device($step->watches)->shown($from, $at), true)) {
                return [$at + ($step->expect?->seconds() ?? 0.0), Observation::Expected];
            }
            foreach ($site->devices() as $id => $device) {
                if (
                    $device instanceof SimulatedLight &&
                    $id !== $step->watches &&
                    in_array($step->signal, $device->shown($from, $at), true) &&
                    $step->kind === 'link'
                ) {
                    return [$at + 1.0, Observation::Elsewhere];
                }
            }
        }

        return [$until, Observation::Nothing];
    }

    /** When hands last did something to a device. */
    private static function last(LiveRun $run, string $device, float $now): float
    {
        foreach (array_reverse($run->log()) as $event) {
            if ($event->device === $device && in_array($event->kind, Act::HANDS, true)) {
                return $event->at;
            }
        }

        return $now;
    }

    /** @return array<string, string> which lights are lit */
    private static function lit(SimulatedSite $site, float $at): array
    {
        return array_map(
            static fn($d): string => $d->isLit($at + 30.0) ? 'lit' : 'dark',
            array_filter($site->devices(), static fn($d): bool => $d instanceof SimulatedLight),
        );
    }
}
