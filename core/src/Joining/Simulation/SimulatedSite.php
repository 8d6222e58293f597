<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Simulation;

use Closure;
use EmberDusk\Joining\Act;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Unit;
use EmberDusk\Values\Dice;
use EmberDusk\Values\InvalidInput;

/**
 * A small site of simulated devices that lives through what hands do: who has power, where each remote is held, what each network holds. The same
 * seed, faults and hands give the same site.
 */
final class SimulatedSite
{
    /** @var array<string, SimulatedDevice> */
    private array $devices = [];

    public readonly Dice $dice;

    /** @var array<string, Flaw> unfixed faults, by code@device */
    private array $flaws = [];

    private float $now = 0.0;

    /** @var array<string, array<string, float>> levels by light, by control and number */
    private array $presets = [];

    /** Changes that may come about by themselves between two things that hands do. */
    private const MOST_CHANGES = 5_000;

    /**
     * @param  list<Flaw>  $flaws
     * @param  list<Trap>  $without  traps that are left out
     * @param  Closure(Unit, SimulatedSite): SimulatedDevice  $make
     */
    public function __construct(
        public readonly Roster $roster,
        public readonly int $seed,
        array $flaws,
        private array $without,
        Closure $make,
    ) {
        $this->dice = new Dice($seed);
        foreach ($flaws as $flaw) {
            $this->flaws[$flaw->key()] = $flaw;
        }
        foreach ($roster->units as $id => $unit) {
            $this->devices[$id] = $make($unit, $this);
        }
    }

    public function now(): float
    {
        return $this->now;
    }

    /** From now on every trap catches. */
    public function withAll(): void
    {
        $this->without = [];
    }

    public function catches(Trap $trap): bool
    {
        return !in_array($trap, $this->without, true);
    }

    public function has(string $code, string $device): bool
    {
        return isset($this->flaws["{$code}@{$device}"]);
    }

    /** Puts something right. Whether it was wrong. */
    private function mend(string $code, SimulatedDevice $device): bool
    {
        $had = $this->has($code, $device->unit->id);
        unset($this->flaws["{$code}@{$device->unit->id}"]);
        if ($had) {
            $device->mended($code, $this->now);
        }

        return $had;
    }

    /** @return list<Flaw> remaining faults */
    public function flaws(): array
    {
        return array_values($this->flaws);
    }

    /** @throws InvalidInput */
    public function device(string $id): SimulatedDevice
    {
        return $this->devices[$id] ?? throw InvalidInput::unknown('/device', 'device', $id);
    }

    /** @return array<string, SimulatedDevice> */
    public function devices(): array
    {
        return $this->devices;
    }

    public function phone(): SimulatedPhone
    {
        $phone = $this->devices[Roster::PHONE] ?? null;

        if ($phone instanceof SimulatedPhone) {
            return $phone;
        }

        return new SimulatedPhone(new Unit(Roster::PHONE, 'Phone', Unit::PHONE, '', ''), $this);
    }

    /** The first device that keeps a network of that way open now. */
    public function open(string $way): ?SimulatedDevice
    {
        foreach ($this->devices as $device) {
            if ($device->opens($way, $this->now) !== null) {
                return $device;
            }
        }

        return null;
    }

    public function apply(Event $event): void
    {
        $this->advance($event->at);
        $device = $this->devices[$event->device] ?? null;
        if ($device === null) {
            return;
        }
        $words = explode(' ', $event->text, 2);
        match ($event->kind) {
            Act::ON => $device->power(true, $event->at),
            Act::OFF => $device->power(false, $event->at),
            Act::PRESS => $device->press($event->text, $event->at),
            Act::HOLD => $device->hold($words[0], (float) ($words[1] ?? 0), $event->at),
            Act::TAP => $device->tap($words[0], $words[1] ?? '', $event->at),
            Act::SET => $this->preset($device, $words[0], $words[1] ?? '') ||
                $device->put($event->kind, $event->text, $event->at),
            Act::NEAR => $device->put($event->kind, $event->text, $event->at),
            Act::TRY => $this->work($device, $event->text),
            Event::MENDED => $event->wasSo === true && $this->mend($event->text, $device),
            default => null,
        };
    }

    /** Stores the lights of a control as they are, or recalls them; false for anything else that is set. */
    private function preset(SimulatedDevice $control, string $key, string $number): bool
    {
        $of = "{$control->unit->id} {$number}";
        $own = $control instanceof SimulatedLight && $control->isPowered() ? [$control->unit->id => $control] : [];
        foreach ($this->roster->wantsOf($control->unit->id) as $want) {
            $light = $this->devices[$want->light] ?? null;
            if ($light instanceof SimulatedLight && $control->reaches($light, $want->light, $want->zone)) {
                $own[$want->light] = $light;
            }
        }
        foreach ($own as $id => $light) {
            if ($key === 'store') {
                $this->presets[$of][$id] = $light->level();
            } elseif ($key === 'recall' && isset($this->presets[$of][$id])) {
                $light->obey(new LightCommand($this->presets[$of][$id]));
            }
        }

        return in_array($key, ['store', 'recall'], true);
    }

    private function work(SimulatedDevice $control, string $text): void
    {
        [$light, $zone, $level] = [...explode(' ', $text), '0', '1'];
        foreach ($this->devices as $device) {
            if ($device instanceof SimulatedLight && $control->reaches($device, $light, (int) $zone)) {
                $device->obey(new LightCommand((float) $level));
            }
        }
    }

    public function advance(float $to): void
    {
        for ($n = 0; $n < self::MOST_CHANGES; $n++) {
            $next = $this->nextChange();
            if ($next === null || $next > $to + 1e-9) {
                break;
            }
            $this->now = max($this->now, $next);
            foreach ($this->devices as $device) {
                $device->settle($this->now);
            }
        }
        $this->now = max($this->now, $to);
        foreach ($this->devices as $device) {
            $device->settle($this->now);
        }
    }

    public function nextChange(): ?float
    {
        $times = [];
        foreach ($this->devices as $device) {
            $next = $device->next();
            if ($next !== null) {
                $times[] = $next;
            }
        }

        if ($times === []) {
            return null;
        }

        return min($times);
    }

    public function isPowered(string $device): bool
    {
        return ($this->devices[$device] ?? null)?->isPowered() ?? false;
    }

    public function isLit(string $device): bool
    {
        return ($this->devices[$device] ?? null)?->isLit($this->now) ?? false;
    }

    public function signal(string $device): ?ShownSignal
    {
        return ($this->devices[$device] ?? null)?->signal();
    }

    /** @return array<string, string> */
    public function list(): array
    {
        $list = [];
        foreach ($this->devices as $device) {
            foreach ($device->list() as $of => $names) {
                $list += [$of => implode(', ', $names)];
            }
        }

        return $list;
    }
}
