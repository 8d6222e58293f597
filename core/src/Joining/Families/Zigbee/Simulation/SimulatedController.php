<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Zigbee\Simulation;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Families\TouchLink\Simulation\LinkRequest;
use EmberDusk\Joining\Simulation\SimulatedLight;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\Simulation\Trap;
use EmberDusk\Joining\Simulation\WindowOverlap;
use EmberDusk\Joining\Unit;

/**
 * Simulated Zigbee controller: reset by a gesture, it listens after a reset or, unjoined, after power-up; a power cycle does not erase it. It takes
 * links of remotes while its link window is open.
 */
final class SimulatedController extends SimulatedLight
{
    /** Its network if it was not joined here. */
    private const OLD = 'another network';

    /** Expected input. */
    private const HUB = 'a hub’s search';

    private const LINK = 'a remote’s link';

    private ?string $network;

    /** @var array{float, float}|null */
    private ?array $listens = null;

    /** @var array{float, float}|null opened by its key */
    private ?array $links = null;

    /** @var array<string, int> zone by remote */
    private array $linked = [];

    private int $tries = 0;

    /** The panel to which it was brought on a temporary supply; empty in its place. */
    private string $broughtTo = '';

    public function __construct(Unit $unit, SimulatedSite $site)
    {
        parent::__construct($unit, $site);
        $this->network = $unit->used || $site->has('old-hub', $unit->id) ? self::OLD : null;
    }

    public function power(bool $on, float $at): void
    {
        $was = $this->powered;
        parent::power($on, $at);
        if ($this->powered === $was) {
            return;
        }
        $this->links = null;
        $free = $this->network === null || !$this->site->catches(Trap::OldNetwork);
        $this->listens = null;
        if ($on && $free) {
            $this->listen($at, meant: false);
        }
        if ($on) {
            $this->show($this->network === null ? 'waits' : 'held', $at);
        }
    }

    private function listen(float $at, bool $meant = true): void
    {
        $this->listens = [$at, $at + $this->listening()];
        $this->await(self::HUB, $this->listens[0], $this->listens[1], $meant);
    }

    private function listening(): float
    {
        if ($this->site->catches(Trap::Window)) {
            return $this->unit->leaflet->seconds('listens');
        }

        return 86_400.0;
    }

    public function put(string $kind, string $text, float $at): void
    {
        if ($kind === Act::NEAR) {
            $this->broughtTo = explode(' ', $text)[0];
        }
    }

    public function isBroughtTo(string $panel): bool
    {
        return $this->broughtTo === $panel;
    }

    public function mended(string $code, float $at): void
    {
        if ($code === 'old-hub') {
            $this->leave();
        }
    }

    protected function gesture(string $name, float $at): void
    {
        if ($name === 'reset') {
            $this->leave();
            $this->listen($at);
            $this->show('resetDone', $at);
        }
        if ($name === 'link') {
            $this->links = [$at, $at + $this->unit->leaflet->seconds('linkListens')];
            $this->await(self::LINK, ...$this->links);
        }
    }

    /** Forgets its network and all links. */
    public function leave(): void
    {
        $this->network = null;
        $this->linked = [];
        $this->links = null;
    }

    public function network(): ?string
    {
        return $this->network;
    }

    /** Whether it takes a link now: opened by its key, or automatically for a while after power-up. */
    public function takesLinks(float $at): bool
    {
        if (!$this->site->catches(Trap::Window)) {
            return $this->awake();
        }
        $leaflet = $this->unit->leaflet;
        $by = $leaflet->figure('linkUntil');
        $from = $this->poweredAt + ($leaflet->figure('linkFrom') ?? 0.0);
        $up = $by !== null ? [$from, $this->poweredAt + $by] : null;
        foreach ([$this->links, $up] as $window) {
            if ($window !== null && $at >= $window[0] - 1e-9 && $at <= $window[1] + 1e-9) {
                return $this->awake();
            }
        }

        return false;
    }

    /** Whether another remote may link to it beside the remotes of its network. */
    public function admits(): bool
    {
        return $this->linked !== [] &&
            str_starts_with((string) $this->network, LinkRequest::OWN) &&
            count($this->linked) < ($this->unit->leaflet->figure('remotes') ?? INF);
    }

    /** Is linked to a zone of a remote, in the network that is the remote's from then on. */
    public function link(string $remote, int $zone, string $network, float $at): void
    {
        if ($network !== $this->network && $this->site->catches(Trap::TwoNetworks)) {
            $this->linked = [];
        }
        $this->network = $network;
        $this->linked[$remote] = $zone;
        $this->caught(self::LINK, $at);
        $this->show('linked', $at);
    }

    public function zoneOf(string $remote): ?int
    {
        return $this->linked[$remote] ?? null;
    }

    public function next(): ?float
    {
        $times = array_filter([parent::next(), $this->joinsAt()], static fn(?float $t): bool => $t !== null);

        if ($times === []) {
            return null;
        }

        return min($times);
    }

    public function advance(float $to): void
    {
        $at = $this->joinsAt();
        if ($at === null || $at > $to + 1e-9) {
            return;
        }
        $this->tries++;
        $hub = $this->site->open('zigbee');
        // One join in a while fails though all was right: the window is spent.
        if ($this->tries === 1 && $this->site->has('missed-once', $this->unit->id)) {
            $this->listens = null;

            return;
        }
        if ($hub === null || !$hub->admit($this, $at)) {
            $this->listens = null;

            return;
        }
        $this->network = $hub->unit->id;
        $this->listens = null;
        $this->caught(self::HUB, $at);
        $this->show('joined', $at);
    }

    /** When it joins, if its window and a network that is open meet for long enough. */
    private function joinsAt(): ?float
    {
        if (
            $this->listens === null ||
            !$this->awake() ||
            ($this->network !== null && $this->site->catches(Trap::OldNetwork))
        ) {
            return null;
        }
        $hub = $this->site->open('zigbee');
        $takes = $this->site->dice->between(
            $this->unit->leaflet->seconds('takesLeast'),
            $this->unit->leaflet->seconds('takesMost'),
            "join {$this->unit->id} {$this->tries}",
        );

        return WindowOverlap::for($this->listens, $hub?->opens('zigbee', $this->site->now()), $takes);
    }
}
