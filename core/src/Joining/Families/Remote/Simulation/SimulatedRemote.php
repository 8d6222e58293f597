<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Remote\Simulation;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Families\TouchLink\Simulation\LinkRequest;
use EmberDusk\Joining\Families\TouchLink\Simulation\TakenLink;
use EmberDusk\Joining\Families\Zigbee\Simulation\SimulatedController;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedLight;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\Simulation\Trap;
use EmberDusk\Joining\Simulation\WindowOverlap;
use EmberDusk\Joining\Unit;

/**
 * Simulated Zigbee remote or wall panel: it sleeps, searches for a network only after its own gesture, and signals with its lamp. A panel needs
 * mains.
 */
final class SimulatedRemote extends SimulatedDevice
{
    /** Network that it searches for. */
    private const HUB = 'a hub’s search';

    private ?string $network;

    /** @var array{float, float}|null */
    private ?array $looks = null;

    /** @var array{string, float} its partner, and the distance in metres */
    private array $near = ['', INF];

    private int $zone = 1;

    /** A link under way, and when it is done. */
    private ?TakenLink $linking = null;

    private float $linkedAt = INF;

    public function __construct(Unit $unit, SimulatedSite $site)
    {
        parent::__construct($unit, $site);
        $this->powered = $unit->role !== Unit::PANEL;
        $this->network = match (true) {
            $unit->member !== '' => $unit->member,
            $unit->used || $site->has('old-hub', $unit->id) => 'another network',
            default => null,
        };
    }

    public function put(string $kind, string $text, float $at): void
    {
        $words = explode(' ', $text);
        if ($kind === Act::NEAR) {
            $this->near = [$words[0], (float) ($words[1] ?? 0)];
        }
        if ($kind === Act::SET && $words[0] === 'zone') {
            $this->zone = max(1, min(max(1, $this->unit->zones), (int) ($words[1] ?? 1)));
        }
    }

    public function network(): ?string
    {
        return $this->network;
    }

    /** Forms or takes a network. */
    public function enter(string $network): void
    {
        $this->network = $network;
    }

    public function mended(string $code, float $at): void
    {
        if ($code === 'old-hub') {
            $this->forget($at);
        }
    }

    protected function gesture(string $name, float $at): void
    {
        match ($name) {
            'reset' => $this->forget($at),
            'join' => $this->look($at),
            'link' => $this->link($at),
            default => null,
        };
    }

    private function forget(float $at): void
    {
        // Its own network goes on without it: its controllers have to be reset as well.
        $this->network = null;
        $this->looks = null;
        $this->show('resetDone', $at);
    }

    private function look(float $at): void
    {
        $this->looks = [$at, $at + $this->unit->leaflet->seconds('listens')];
        $this->await(self::HUB, ...$this->looks);
        $this->show('looks', $at);
    }

    private function link(float $at): void
    {
        $found = LinkRequest::for($this->site, $this, $this->near, $at);
        if ($found !== null) {
            $this->linking = $found;
            $this->linkedAt = $at + $found->seconds;
        }
    }

    public function zone(): int
    {
        return $this->zone;
    }

    public function next(): ?float
    {
        $times = array_filter(
            [parent::next(), $this->joinsAt(), $this->linking === null ? null : $this->linkedAt],
            static fn(?float $t): bool => $t !== null,
        );

        if ($times === []) {
            return null;
        }

        return min($times);
    }

    public function advance(float $to): void
    {
        if ($this->linking !== null && $this->linkedAt <= $to + 1e-9) {
            $link = $this->linking;
            $this->linking = null;
            $this->network = $link->network;
            $link->controller->link($this->unit->id, $this->zone, $link->network, $this->linkedAt);
            $this->show('linked', $this->linkedAt);
        }
        $at = $this->joinsAt();
        if ($at !== null && $at <= $to + 1e-9) {
            $hub = $this->site->open('zigbee');
            $this->looks = null;
            if ($hub !== null && !$this->site->has('not-joined', $this->unit->id) && $hub->admit($this, $at)) {
                $this->network = $hub->unit->id;
                $this->caught(self::HUB, $at);
                $this->show('joined', $at);
            }
        }
    }

    private function joinsAt(): ?float
    {
        // A device with a network does not find another.
        if (
            $this->looks === null ||
            !$this->awake() ||
            ($this->network !== null && $this->site->catches(Trap::OldNetwork)) ||
            $this->site->has('link-before-hub', $this->unit->id)
        ) {
            return null;
        }
        $takes = $this->site->dice->between(
            $this->unit->leaflet->seconds('takesLeast'),
            $this->unit->leaflet->seconds('takesMost'),
            "join {$this->unit->id}",
        );

        return WindowOverlap::for(
            $this->looks,
            $this->site->open('zigbee')?->opens('zigbee', $this->site->now()),
            $takes,
        );
    }

    public function reaches(SimulatedLight $light, string $meant, int $zone): bool
    {
        return $this->awake() &&
            $light instanceof SimulatedController &&
            $light->zoneOf($this->unit->id) === $zone &&
            ($light->network() === $this->network || !$this->site->catches(Trap::TwoNetworks));
    }
}
