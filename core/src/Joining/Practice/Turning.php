<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Practice;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\Acceptance;
use EmberDusk\Joining\Simulation\LightCommand;
use EmberDusk\Joining\Simulation\SimulatedLight;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\Simulation\Trap;

/**
 * The moment from which a lesson could not come out well any more as its hands went on. Found by living through it again with one trap taken
 * out of the simulated devices, or one fault fixed: what then works that did not, and from when on the two differ.
 */
final readonly class Turning
{
    /** Seconds to which the moment is found. */
    private const STEP = 0.5;

    private function __construct(public float $at, public string $says) {}

    /** Null where everything works. */
    public static function for(Attempt $attempt): ?self
    {
        $site = $attempt->site();
        $unmet = Attempt::unmet($site);
        $misnamed = $attempt->misnamed($site);
        if ($unmet === []) {
            if ($misnamed === []) {
                return null;
            }

            return self::named($attempt, $misnamed);
        }
        $best = null;
        foreach (self::others($site) as $other) {
            [$without, $flaws] = [$other->without, $other->flaws];
            $at = self::parts($attempt, $without, $flaws);
            if ($at === null) {
                continue;
            }
            $once = self::gains($unmet, Attempt::unmet($attempt->site($without, $flaws, $at + self::STEP)));
            $works = $once === [] ? self::gains($unmet, Attempt::unmet($attempt->site($without, $flaws))) : $once;
            if ($works !== [] && ($best === null || count($works) > $best[0])) {
                $best = [count($works), $at, ($other->says)($works[0])];
            }
        }
        if ($best !== null) {
            return new self($best[1], $best[2] . self::notReset($attempt, $site, $unmet));
        }

        return self::slip($attempt, $unmet) ?? (self::resetAgain($site, $unmet) ?? self::undone($attempt, $unmet));
    }

    /**
     * Sites that differ in one thing, and what to say where that decides.
     *
     * @return list<OtherSite>
     */
    private static function others(SimulatedSite $site): array
    {
        $others = [];
        foreach ($site->flaws() as $flaw) {
            $others[] = new OtherSite(
                [],
                array_values(array_filter($site->flaws(), static fn(Flaw $f): bool => $f->key() !== $flaw->key())),
                static fn(ControlledLight $w): string => TrapWords::flaw($flaw, $site->roster),
            );
        }
        foreach (Trap::cases() as $trap) {
            $others[] = new OtherSite(
                [$trap],
                null,
                static fn(ControlledLight $w): string => TrapWords::trap($trap, $w, $site),
            );
        }

        return $others;
    }

    /**
     * @param  list<ControlledLight>  $unmet
     * @param  list<ControlledLight>  $left
     * @return list<ControlledLight>
     */
    private static function gains(array $unmet, array $left): array
    {
        $still = array_map(static fn(ControlledLight $w): string => $w->key(), $left);

        return array_values(
            array_filter($unmet, static fn(ControlledLight $w): bool => !in_array($w->key(), $still, true)),
        );
    }

    /**
     * From when on the site differs from the other; null when it never does.
     *
     * @param  list<Trap>  $without
     * @param  list<Flaw>|null  $flaws
     */
    private static function parts(Attempt $attempt, array $without, ?array $flaws): ?float
    {
        $one = $attempt->fresh();
        $other = $attempt->fresh($without, $flaws);
        $next = 0;
        for ($at = 0.0; $at < $attempt->until; $at += self::STEP) {
            for (; ($attempt->log[$next]->at ?? INF) <= $at; $next++) {
                $one->apply($attempt->log[$next]);
                $other->apply($attempt->log[$next]);
            }
            $one->advance($at);
            $other->advance($at);
            if (self::state($one) !== self::state($other)) {
                return $at;
            }
        }

        return null;
    }

    /** @return array<string, list<mixed>> observable state of a site: lamps, lists, and which light responds to which control */
    private static function state(SimulatedSite $site): array
    {
        $state = [];
        foreach ($site->devices() as $id => $device) {
            $looks = $device instanceof SimulatedLight ? $device->looks(new LightCommand($device->level())) : '';
            $state[$id] = [$device->shown(0.0, $site->now()), $device->list(), $looks];
        }
        foreach (Acceptance::heard($site) as $want => $hears) {
            $state[$want] = [$hears];
        }

        return $state;
    }

    /** @param  array<string, string>  $misnamed */
    private static function named(Attempt $attempt, array $misnamed): self
    {
        $light = (string) array_key_first($misnamed);
        $called = $attempt->lesson->roster->unit($light)->called();
        foreach ($attempt->log as $event) {
            if (
                $event->kind === Act::TAP &&
                $misnamed[$light] !== '' &&
                str_ends_with($event->text, "={$misnamed[$light]}")
            ) {
                return new self(
                    $event->at,
                    "The line that was named “{$misnamed[$light]}” is {$called}: switch each entry and look before you name it.",
                );
            }
        }

        foreach ($attempt->log as $event) {
            // Its name was given to a line with nothing behind it.
            if (
                $event->kind === Act::TAP &&
                mb_strtolower(explode('=', $event->text, 2)[1] ?? '') ===
                    mb_strtolower($attempt->lesson->roster->unit($light)->name)
            ) {
                $line = explode('=', substr($event->text, strlen('name ')))[0];

                return new self(
                    $event->at,
                    "“{$line}” is a line of a light that is gone: switch each entry and look before you name it.",
                );
            }
        }

        return new self($attempt->until, "{$called} was not named.");
    }

    /**
     * The gesture used instead of a reset, for a light that never reset.
     *
     * @param  list<ControlledLight>  $unmet
     */
    private static function notReset(Attempt $attempt, SimulatedSite $site, array $unmet): string
    {
        foreach (MiscountedPresses::of($attempt) as $slip) {
            $device = $slip->device;
            $took = array_column($site->device($device)->took(), 1);
            $about = array_filter($unmet, static fn(ControlledLight $w): bool => $w->light === $device);
            if ($about !== [] && $site->roster->unit($device)->used && !in_array('reset', $took, true)) {
                return ' ' . $slip->words;
            }
        }

        return '';
    }

    /**
     * A gesture that was nearly one of the instructions's.
     *
     * @param  list<ControlledLight>  $unmet
     */
    private static function slip(Attempt $attempt, array $unmet): ?self
    {
        $about = [];
        foreach ($unmet as $want) {
            $about[$want->light] = $about[$want->control] = true;
        }
        foreach (MiscountedPresses::of($attempt) as $slip) {
            if ($slip->nothing && isset($about[$slip->device])) {
                return new self($slip->at, $slip->words);
            }
        }

        return null;
    }

    /**
     * A device that had joined and was reset afterwards.
     *
     * @param  list<ControlledLight>  $unmet
     */
    private static function resetAgain(SimulatedSite $site, array $unmet): ?self
    {
        foreach ($unmet as $want) {
            foreach (array_filter([$want->light, $want->control], $site->roster->has(...)) as $id) {
                $device = $site->device($id);
                foreach ($device->took() as [$at, $gesture]) {
                    $had = in_array('joined', $device->shown(0.0, $at), true);
                    if ($gesture === 'reset' && $had && !in_array('joined', $device->shown($at, INF), true)) {
                        return new self(
                            $at,
                            "{$site->roster->unit(
                                $id,
                            )->called()} had joined, and this reset took it out of the network again.",
                        );
                    }
                }
            }
        }

        return null;
    }

    /** @param  list<ControlledLight>  $unmet */
    private static function undone(Attempt $attempt, array $unmet): self
    {
        $want = $unmet[0];
        $roster = $attempt->lesson->roster;
        $about = array_filter(
            $attempt->log,
            static fn(Event $e): bool => in_array($e->device, [$want->light, $want->control], true),
        );
        $last = $about !== [] ? $about[array_key_last($about)]->at : 0.0;

        $from = $about === [] ? 'Nothing' : 'After this point nothing';
        $by = $want->control !== Roster::PHONE ? $roster->unit($want->control)->label() : 'the phone';

        return new self($last, "{$from} connected {$roster->unit($want->light)->called()} to {$by}.");
    }
}
