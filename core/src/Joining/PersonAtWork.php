<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Joining\Simulation\Acceptance;
use EmberDusk\Joining\Simulation\SimulatedLight;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Values\OutOfTurn;

/** One step of a run done by a simulated person: hands that follow the instructions, and eyes that read the simulated devices. */
final readonly class PersonAtWork
{
    /** Seconds after which an early “nothing” is given, and between two of the same answer. */
    private const HASTE = 1.0;

    /** @param  int  $number  of the step, for the dice */
    public function __construct(
        private LiveRun $run,
        private SimulatedSite $site,
        private Person $person,
        private int $number,
    ) {}

    /** @return float run second of the answer */
    public function answer(JoinStep $step, float $now): float
    {
        $errs = $this->falls($this->person->errs, 'errs');
        switch ($step->look) {
            case Look::Hand:
                // The way through the app counts like a walk.
                return $this->work($step, $now + $step->before) + $step->waits;
            case Look::Mend:
                $was = $this->site->has($step->kind, $step->device) !== $errs;
                $this->say(Event::MENDED, $step->device, $now + $step->waits, "{$step->kind}|" . ($was ? 'yes' : 'no'));

                return $now + $step->waits;
            case Look::Name:
                $unit = $this->run->roster->unit($step->device);
                $this->say(Event::NAMED, $step->device, $now, "{$unit->name}, {$unit->room}");

                return $now;
            default:
                [$at, $seen] = $this->see($step, $now);
                if ($seen === null) {
                    return $at;
                }
                $overlooks = $step->look === Look::Lamp && $this->falls($this->person->overlooks, 'overlooks');
                if ($overlooks && $seen === Observation::Expected) {
                    $seen = Observation::Nothing;
                } elseif ($errs && $step->look !== Look::List) {
                    $seen = $seen === Observation::Expected ? Observation::Nothing : Observation::Expected;
                }
                if ($seen === Observation::Nothing && ($errs || $overlooks)) {
                    $at = max($at, $this->run->next($at)->lookUntil ?? $at);
                }
                $second = $seen === Observation::Expected ? $this->second($this->run->next($at), $at) : null;
                if ($second !== null) {
                    return $second;
                }
                $this->say(Event::SAW, $step->device, $at, "{$step->key()}|{$seen->value}");

                return $at;
        }
    }

    /** Whether something happens that happens in this share of the cases. */
    private function falls(float $share, string $what): bool
    {
        return $share > 0.0 && $this->site->dice->between(0, 1, "{$what} {$this->number}") < $share;
    }

    /** An answer, and the same once more from a second phone or by a double press: it has to be refused or change nothing. */
    private function say(string $kind, string $device, float $at, string $text): void
    {
        $this->run->act($kind, $device, $at, $text, $this->person->cut);
        if ($this->falls($this->person->twice, 'twice')) {
            try {
                $this->run->act($kind, $device, $at + self::HASTE, $text, $this->person->cut);
            } catch (OutOfTurn) {
                // The run has moved on.
            }
        }
    }

    /** @return float run second of the last thing that the hands of a step did */
    private function work(JoinStep $step, float $now): float
    {
        $hands = Hands::at($step->acts, $this->run->roster, $now);
        $presses = array_keys(array_filter($hands, static fn(Event $e): bool => $e->kind === Act::PRESS));
        if (count($presses) < 2 || !$this->falls($this->person->miscounts, 'miscounts')) {
            $new = $this->run->work($step->key(), $now, $this->person->cut);
            $last = $new === [] ? $now : $new[count($new) - 1]->at;
            if ($this->falls($this->person->twice, 'twice')) {
                try {
                    $this->run->work($step->key(), $last + self::HASTE, $this->person->cut);
                } catch (OutOfTurn) {
                    // The run has moved on.
                }
            }

            return $last;
        }
        unset($hands[$presses[count($presses) - 1]]);
        $at = $now;
        foreach ($hands as $event) {
            $at = $event->at;
            $this->run->act($event->kind, $event->device, $at, $event->text);
        }
        $this->run->act(Event::DONE, $step->device, $at, $step->key(), $this->person->cut);

        return $at;
    }

    /** @return array{float, Observation|null} time and observation; null where a list's line came first */
    private function see(JoinStep $step, float $now): array
    {
        $before = $this->lit($now);
        $from = $this->last($step->watches, $now);
        $acted = $now;
        if ($step->look !== Look::Try && $step->acts !== []) {
            $lines = count($this->run->log());
            $acted = $this->work($step, $now);
            $from = $this->run->log()[$lines]->at ?? $from;
        }
        switch ($step->look) {
            case Look::Try:
                return $this->tried($step, $now);
            case Look::List:
                for ($at = $now; $at < $now + $step->waits; $at += 1.0) {
                    if ($this->run->settle($at) !== [] || $this->run->next($at)->look !== Look::List) {
                        return [$at, null];
                    }
                }

                return [$at, Observation::Nothing];
            case Look::Lights:
                $looked = $acted + $step->waits + 0.5;
                $this->run->settle($looked);
                $changed = array_keys(array_diff_assoc($this->lit($looked), $before));

                return [
                    $looked + 0.5,
                    match (true) {
                        $changed === [$step->watches] => Observation::Expected,
                        $changed === [] => Observation::Nothing,
                        default => Observation::Elsewhere,
                    },
                ];
            case Look::Says:
                $this->run->settle($acted + $step->waits);

                return [
                    $acted + $step->waits,
                    $this->site->device($step->watches)->says($step->signal)
                        ? Observation::Expected
                        : Observation::Nothing,
                ];
            default:
                return $this->lamp($step, $from, $acted);
        }
    }

    /** @return array{float, Observation} */
    private function tried(JoinStep $step, float $now): array
    {
        if ($step->kind === JoinStep::RETURNS) {
            return [$now + 2.0, $this->site->isLit($step->watches) ? Observation::Expected : Observation::Nothing];
        }
        if ($step->kind === JoinStep::RECALL) {
            return [$this->work($step, $now) + 2.0, $this->recalled($step)];
        }
        [, $control, $light] = explode(' ', $step->task);
        foreach ($this->run->roster->wantsOf($control) as $want) {
            if ($want->light === $light) {
                $seen = Acceptance::for($this->site, $want);
                // Wrong colours still respond: only that is recorded then.
                $responds = $step->kind === JoinStep::STILL && $seen !== Observation::Nothing;

                return [$now + 6.0, $responds ? Observation::Expected : $seen];
            }
        }

        return [$now, Observation::Nothing];
    }

    /** Whether the lights are as in the scene that was stored. */
    private function recalled(JoinStep $step): Observation
    {
        foreach ($this->run->roster->presets as $preset) {
            foreach ($preset->task()->id() === $step->task ? $preset->levels : [] as $light => $level) {
                $device = $this->site->device($light);
                if ($device instanceof SimulatedLight && abs($device->level() - $level) > 0.01) {
                    return Observation::Nothing;
                }
            }
        }

        return Observation::Expected;
    }

    /** @return array{float, Observation|null} null where it was answered too early and taken */
    private function lamp(JoinStep $step, float $from, float $acted): array
    {
        if ($this->falls($this->person->early, 'early')) {
            try {
                $this->run->act(
                    Event::SAW,
                    $step->device,
                    $acted + self::HASTE,
                    "{$step->key()}|" . Observation::Nothing->value,
                );

                return [$acted + self::HASTE, null];
            } catch (OutOfTurn) {
                // It says to keep looking.
            }
        }
        $until = $step->acts === [] ? max($step->window[1] ?? 0.0, $acted + 0.5) : $acted + $step->waits;
        for ($at = $acted; $at <= $until + 0.5; $at += 0.5) {
            $this->run->settle($at);
            if (in_array($step->signal, $this->site->device($step->watches)->shown($from, $at), true)) {
                return [$at + ($step->expect?->seconds() ?? 0.0), Observation::Expected];
            }
            foreach ($this->site->devices() as $id => $device) {
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

    /** @return float|null run second at which the second pattern of a card was seen and reported; null where none came */
    private function second(JoinStep $step, float $from): ?float
    {
        if ($step->then === null) {
            return null;
        }
        for ($at = $from; $at <= ($step->window[1] ?? $from) + 0.5; $at += 0.5) {
            $this->run->settle($at);
            if (in_array($step->then->signal, $this->site->device($step->then->watches)->shown($from, $at), true)) {
                $at += $step->then->expect?->seconds() ?? 0.0;
                $this->say(Event::SAW, $step->device, $at, "{$step->then->key()}|" . Observation::Expected->value);

                return $at;
            }
        }

        return null;
    }

    /** When hands last did something to a device. */
    private function last(string $device, float $now): float
    {
        foreach (array_reverse($this->run->log()) as $event) {
            if ($event->device === $device && in_array($event->kind, Act::HANDS, true)) {
                return $event->at;
            }
        }

        return $now;
    }

    /** @return array<string, string> which lights are lit */
    private function lit(float $at): array
    {
        return array_map(
            static fn($d): string => $d->isLit($at + 30.0) ? 'lit' : 'dark',
            array_filter($this->site->devices(), static fn($d): bool => $d instanceof SimulatedLight),
        );
    }
}
