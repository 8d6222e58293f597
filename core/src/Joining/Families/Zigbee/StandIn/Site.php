<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Zigbee\StandIn;

use EmberDusk\Joining\Dice;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Kit;
use EmberDusk\Joining\StandIns;
use EmberDusk\Kit\Profiles\Signal;

/** A small site of stand-ins that lives through the hands' events of a log. The same seed and log give the same site. */
final class Site implements StandIns
{
    private const NETWORK = 'this hub';

    /** @var array<string, ZigbeeController> */
    private array $controllers = [];

    private readonly HubWithApp $hub;

    private readonly Dice $dice;

    /** @var array<string, int> joins so far by device, so that each has its own chance */
    private array $tries = [];

    private float $now = 0.0;

    /** @param  list<string>  $used controllers that still hold an old network */
    public function __construct(private readonly Kit $kit, int $seed, array $used = [])
    {
        foreach ($kit->controllers as $id => $profile) {
            $this->controllers[$id] = new ZigbeeController($profile, in_array($id, $used, true) ? 'an old hub' : null);
        }
        $this->hub = new HubWithApp($kit->hub);
        $this->dice = new Dice($seed);
    }

    /** @param  list<Event>  $log in the order of time */
    public static function after(Kit $kit, int $seed, array $log, float $now): self
    {
        $site = new self($kit, $seed);
        foreach ($log as $event) {
            $site->apply($event);
        }
        $site->advance(max($now, $site->now));

        return $site;
    }

    public function apply(Event $event): void
    {
        $this->advance($event->at);
        $controller = $this->controllers[$event->device] ?? null;
        match ($event->kind) {
            'power-on' => $controller?->powerOn($event->at),
            'power-off' => $controller?->powerOff(),
            'press' => $controller?->press($event->at),
            'search' => $this->hub->search($event->at),
            'toggle' => $this->toggle($event->device),
            default => null,
        };
        if ($controller !== null && $event->kind === 'press' && !$controller->isIn(self::NETWORK)) {
            $this->hub->forget($event->device);
        }
    }

    public function advance(float $to): void
    {
        foreach ($this->controllers as $id => $controller) {
            $at = $this->joinsAt($id, $controller, $to);
            if ($at !== null) {
                $controller->join(self::NETWORK, $at);
                $this->tries[$id] = ($this->tries[$id] ?? 0) + 1;
                $this->hub->joined($id, $at, $this->dice);
            }
        }
        $this->now = $to;
    }

    public function isJoined(string $device): bool
    {
        return ($this->controllers[$device] ?? null)?->isIn(self::NETWORK) ?? false;
    }

    public function isPowered(string $device): bool
    {
        return ($this->controllers[$device] ?? null)?->isPowered() ?? false;
    }

    public function isLit(string $device): bool
    {
        return ($this->controllers[$device] ?? null)?->litAt($this->now) ?? false;
    }

    /** @return array{float, Signal}|null */
    public function signal(string $device): ?array
    {
        return ($this->controllers[$device] ?? null)?->signal();
    }

    /** @return array<string, string> what the app lists, by device */
    public function list(): array
    {
        return $this->hub->listAt($this->now);
    }

    /** The next time at which something shows by itself: a join's flashes, a line in the app. Null when nothing will. */
    public function nextChange(): ?float
    {
        $times = [$this->hub->nextListing($this->now)];
        foreach ($this->controllers as $id => $controller) {
            $times[] = $this->joinsAt($id, $controller, INF);
        }
        $times = array_filter($times, fn(?float $t): bool => $t !== null && $t > $this->now);
        if ($times === []) {
            return null;
        }

        return min($times);
    }

    private function toggle(string $device): void
    {
        if (isset($this->list()[$device]) && $this->isPowered($device)) {
            $this->controllers[$device]->toggle();
        }
    }

    /** When a controller joins, if listening and search have met long enough by then. */
    private function joinsAt(string $id, ZigbeeController $controller, float $by): ?float
    {
        $listens = $controller->listensSince($this->now);
        $searches = $this->hub->searchesSince($this->now);
        if ($listens === null || $searches === null) {
            return null;
        }
        $profile = $this->kit->controllers[$id];
        $takes = $this->dice->between(
            $profile->takesLeast,
            $profile->takesMost,
            "join {$id} " . ($this->tries[$id] ?? 0),
        );
        $at = max($listens, $searches) + $takes;
        $closes = min($controller->listensUntil() ?? 0.0, $this->hub->searchesUntil() ?? 0.0);
        if ($at <= $closes + 1e-9 && $at <= $by) {
            return $at;
        }

        return null;
    }
}
