<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Simulation;

use EmberDusk\Joining\Unit;
use EmberDusk\Kit\Profiles\GesturePart;
use EmberDusk\Kit\Profiles\Signal;

/** A simulated device: a timed state machine that hears hands and radio. Times are run seconds and only go forward. */
abstract class SimulatedDevice
{
    /** @var list<ShownSignal> what its lamp or load has shown */
    private array $shown = [];

    /** @var list<Window> times in which it waits for something */
    private array $windows = [];

    /** @var list<array{float, string}> gestures of its instructions that it took, and when */
    private array $took = [];

    protected GestureDetector $ear;

    protected bool $powered = true;

    protected float $poweredAt = 0.0;

    private float $offAt = -INF;

    public function __construct(public readonly Unit $unit, protected readonly SimulatedSite $site)
    {
        $this->ear = new GestureDetector($unit->leaflet);
    }

    /** Receives a complete gesture of its instructions. */
    protected function gesture(string $name, float $at): void {}

    /** A key of its app, with its input. */
    public function tap(string $key, string $given, float $at): void {}

    /** A remote of it was brought somewhere; a device was set. */
    public function put(string $kind, string $text, float $at): void {}

    /** Something that was wrong with it has been fixed. */
    public function mended(string $code, float $at): void {}

    /** Automatic changes until then. */
    public function advance(float $to): void {}

    /** @return list<string> lines of its app with nothing behind them: of lights that it had before */
    public function deadLines(): array
    {
        return [];
    }

    /** When something comes about automatically; null when nothing will. */
    public function next(): ?float
    {
        return $this->ear->due();
    }

    /**
     * How long it keeps a network of that way open to what looks for one: from, until. Null while it is shut.
     *
     * @return array{float, float}|null
     */
    public function opens(string $way, float $at): ?array
    {
        return null;
    }

    /** Something that wants to belong to it has met it. False when it has no room. */
    public function admit(SimulatedDevice $device, float $at): bool
    {
        return false;
    }

    /**
     * Whether a light responds to a command for another light, or for a zone, through this control.
     *
     * @param  string  $meant  the light that is meant
     * @param  int  $zone  of the control, where it has zones
     */
    public function reaches(SimulatedLight $light, string $meant, int $zone): bool
    {
        return false;
    }

    /** Whether the state shown by its app or lamp is true, such as “shows it live”. */
    public function says(string $what): bool
    {
        return false;
    }

    /** @return array<string, string> by device: the name that people say for it, where it was given one */
    public function names(): array
    {
        return [];
    }

    /** @return array<string, list<string>> by device: what its app lists */
    public function list(): array
    {
        return [];
    }

    final public function settle(float $to): void
    {
        $due = $this->ear->due();
        if ($due !== null && $due <= $to + 1e-9 && ($name = $this->ear->settle($to)) !== null) {
            $this->take($name, $due);
        }
        $this->advance($to);
    }

    final public function press(string $key, float $at): void
    {
        $this->hear(GesturePart::PRESS, $key, $at);
    }

    final public function hold(string $key, float $seconds, float $at): void
    {
        $this->hear(GesturePart::HOLD, $key, $at, $seconds);
    }

    private function hear(string $kind, string $key, float $at, float $seconds = 0.0): void
    {
        if (!$this->awake()) {
            return;
        }
        $name = $this->ear->hear($kind, $key, $at, $seconds);
        if ($name !== null) {
            $this->take($name, $at);
        }
    }

    private function take(string $name, float $at): void
    {
        $this->took[] = [$at, $name];
        $this->gesture($name, $at);
    }

    /** @return list<array{float, string}> gestures of its instructions that it took, and when */
    public function took(): array
    {
        return $this->took;
    }

    /** It waits for something from now on. */
    protected function await(string $what, float $from, float $to, bool $meant = true): void
    {
        $this->endWindow($what, $from, Window::BROKEN);
        $this->windows[] = new Window($what, $from, $to, meant: $meant);
    }

    /** The expected input arrived. */
    protected function caught(string $what, float $at): void
    {
        $this->endWindow($what, $at, Window::CAUGHT);
    }

    private function endWindow(string $what, float $at, string $state): void
    {
        foreach ($this->windows as $n => $window) {
            if ($window->what === $what && $window->state === Window::OPEN && $window->to > $at) {
                $this->windows[$n] = $window->ended($at, $state);
            }
        }
    }

    /** @return list<Window> */
    public function windows(): array
    {
        return $this->windows;
    }

    public function power(bool $on, float $at): void
    {
        // Only a real disconnection removes power.
        if ($on === $this->powered || (!$on && $this->site->has('two-powered', $this->unit->id))) {
            return;
        }
        $this->powered = $on;
        if ($on) {
            $this->poweredAt = $at;
            $name = $this->ear->hear(GesturePart::CYCLE, '', $at);
            if ($name !== null && $this->awake()) {
                $this->take($name, $at);
            }
        } else {
            $this->offAt = $at;
            foreach ($this->windows as $window) {
                $this->endWindow($window->what, $at, Window::BROKEN);
            }
        }
    }

    public function isPowered(): bool
    {
        return $this->powered;
    }

    /** Whether it does anything at all. */
    protected function awake(): bool
    {
        return $this->powered &&
            !$this->site->has('dead', $this->unit->id) &&
            !$this->site->has('flat', $this->unit->id);
    }

    protected function show(string $name, float $at): void
    {
        $signal = $this->unit->leaflet->signal($name);
        if ($signal !== null && $this->visible()) {
            $this->shown[] = new ShownSignal($at, $name, $signal);
        }
    }

    /** Whether its lamp or load can be seen to show anything. */
    protected function visible(): bool
    {
        return $this->awake();
    }

    /** @return list<string> signals that began in that time */
    public function shown(float $from, float $to): array
    {
        return array_values(
            array_map(
                static fn(ShownSignal $s): string => $s->name,
                array_filter(
                    $this->shown,
                    static fn(ShownSignal $s): bool => $s->at >= $from - 1e-6 && $s->at <= $to + 1e-6,
                ),
            ),
        );
    }

    /** The latest signal, as long as the power has not gone since. */
    public function signal(): ?ShownSignal
    {
        $last = $this->shown[count($this->shown) - 1] ?? null;

        if ($last === null || $last->at < $this->offAt) {
            return null;
        }

        return $last;
    }

    /** Whether its lamp is lit by a signal; null when none runs. */
    protected function litBySignal(float $at): ?bool
    {
        $signal = $this->signal();
        if ($signal === null || $at - $signal->at >= $signal->signal->seconds()) {
            return null;
        }

        return $signal->signal->litAt($at - $signal->at);
    }

    public function isLit(float $at): bool
    {
        return $this->litBySignal($at) ?? false;
    }
}
