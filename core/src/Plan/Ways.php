<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Kit\Connector;
use WeakMap;

/** Cables of a plan with the units, feeds and runs that they connect: indexed once for a plan. */
final class Ways
{
    /** @var WeakMap<Plan, self>|null */
    private static ?WeakMap $known = null;

    /** @var array<string, list<LaidCable>> by the id that they end at */
    private array $to = [];

    /** @var array<string, list<Feed>> by run, from its start */
    private array $fed = [];

    private function __construct(private readonly Plan $plan)
    {
        foreach ($plan->cables as $cable) {
            $this->to[$cable->to][] = $cable;
        }
        foreach ($plan->feeds as $feed) {
            $this->fed[$feed->run][] = $feed;
        }
        foreach ($this->fed as &$feeds) {
            usort($feeds, static fn(Feed $a, Feed $b): int => $a->pad <=> $b->pad);
        }
    }

    public static function of(Plan $plan): self
    {
        self::$known ??= new WeakMap();

        return self::$known[$plan] ??= new self($plan);
    }

    /** The cable that ends at a device or feed. */
    public function cableTo(string $id): ?LaidCable
    {
        return $this->to[$id][0] ?? null;
    }

    /** @return list<Feed> of a run, from its start */
    public function feedsOf(Run $run): array
    {
        return $this->fed[$run->id] ?? [];
    }

    /** Start of new cables to a run's feeds: its controller; for pixels their board where its terminals carry the load, else the supply. */
    public function origin(Run $run): ?string
    {
        if ($this->plan->strip($run->strip)?->switched() !== false) {
            return $run->controller;
        }
        $board = $this->plan->controller($run->controller);
        if ($board?->pixels === null || $this->boardAmps((string) $run->controller) > $board->totalAmps) {
            return $run->supply;
        }

        return $run->controller;
    }

    /** @return list<string> supplies and controllers at which the cables to a run's feeds begin, from its start; without those that are not connected */
    public function startsOf(Run $run): array
    {
        $starts = array_map(
            fn(Feed $feed): ?string => $this->root($this->cableTo($feed->id)->from ?? ''),
            $this->feedsOf($run),
        );

        return array_values(array_filter($starts, is_string(...)));
    }

    /** Amps of the pixels on a board by their label. */
    public function boardAmps(string $board): float
    {
        $runs = array_filter($this->plan->runs, static fn(Run $r): bool => $r->controller === $board);

        return array_sum(array_map(fn(Run $r): float => $this->plan->of($r)->labelAmps(), $runs));
    }

    /** The supply or controller at the start of a cable, through any number of splices; null when it is not connected, or in a circle. */
    public function root(string $from): ?string
    {
        for ($n = 0; isset($this->plan->splices[$from]); $n++) {
            $from = $this->cableTo($from)->from ?? '';
            if ($n > count($this->plan->splices)) {
                return null;
            }
        }
        if (isset($this->plan->supplies[$from]) || isset($this->plan->controllers[$from])) {
            return $from;
        }

        return null;
    }

    /** The supply at a cable's start: through splices and a controller; null when there is none. */
    public function supplyBehind(string $from): ?string
    {
        $root = $this->root($from) ?? '';
        if (isset($this->plan->controllers[$root])) {
            $root = $this->root($this->cableTo($root)->from ?? '') ?? '';
        }

        return isset($this->plan->supplies[$root]) ? $root : null;
    }

    /**
     * The cables on the way to a feed, a controller or a splice, from its own back to the device that feeds them.
     *
     * @return array<string, LaidCable> by id
     */
    public function wayTo(string $id): array
    {
        $way = [];
        $open = [$id];
        while ($open !== []) {
            $to = array_pop($open);
            foreach ($this->to[$to] ?? [] as $cable) {
                if (!isset($way[$cable->id])) {
                    $way[$cable->id] = $cable;
                    if (isset($this->plan->splices[$cable->from])) {
                        $open[] = $cable->from;
                    }
                }
            }
        }

        return $way;
    }

    /** @return list<string> ids of the places of everything that a cable leads to */
    public function placesOf(LaidCable $cable): array
    {
        $places = [];
        $open = [$cable->to];
        $seen = [];
        while ($open !== []) {
            $to = array_pop($open);
            if (isset($seen[$to])) {
                continue;
            }
            $seen[$to] = true;
            $run = isset($this->plan->feeds[$to]) ? $this->plan->feeds[$to]->run : null;
            $places[] = $this->plan->runs[$run ?? '']->place ?? ($this->plan->fixtures[$to]->place ?? '');
            foreach ($this->plan->runs as $of) {
                $places[] = $of->controller === $to ? $of->place : '';
            }
            if (isset($this->plan->splices[$to])) {
                foreach ($this->plan->cables as $next) {
                    if ($next->from === $to) {
                        $open[] = $next->to;
                    }
                }
            }
        }

        return array_values(array_unique(array_filter($places, static fn(string $p): bool => $p !== '')));
    }

    /**
     * The supplies of a run: those at which the cables to its feeds begin, through a controller or straight.
     *
     * @return list<string> ids
     */
    public function suppliesOf(Run $run): array
    {
        $supplies = [];
        foreach ($this->feedsOf($run) as $feed) {
            $root = $this->root($this->cableTo($feed->id)->from ?? '');
            if ($root !== null && isset($this->plan->controllers[$root])) {
                $root = $this->root($this->cableTo($root)->from ?? '') ?? $run->supply;
            }
            $supplies[] = $root ?? $run->supply;
        }

        return array_values(
            array_unique(
                array_filter(
                    $supplies === [] ? [$run->supply] : $supplies,
                    fn(?string $s): bool => $s !== null && isset($this->plan->supplies[$s]),
                ),
            ),
        );
    }

    /**
     * Units of a run: its supplies, the banks of converters among them, its controller.
     *
     * @return list<string> ids
     */
    public function unitsOf(Run $run): array
    {
        $units = [];
        foreach ([$run->supply, ...$this->suppliesOf($run)] as $id) {
            $units[] = $id;
            $units[] = $this->plan->supplies[$id ?? '']->bank ?? null;
        }

        return array_values(
            array_unique(array_filter([...$units, $run->controller], static fn(?string $u): bool => $u !== null)),
        );
    }

    /**
     * The cables of a run: those to its feeds, to its controller and from a bank to its converter.
     *
     * @return array<string, LaidCable> by id
     */
    public function waysOf(Run $run): array
    {
        $ways = $run->controller !== null ? $this->wayTo($run->controller) : [];
        foreach ($this->feedsOf($run) as $feed) {
            $ways += $this->wayTo($feed->id);
        }
        foreach ($this->suppliesOf($run) as $supply) {
            $ways += $this->wayTo($supply);
        }

        return $ways;
    }

    /** The cable at the beginning of a run's way: from a bank to its converter, to its controller, or to its first feed. */
    public function firstCable(Run $run): ?LaidCable
    {
        foreach ([$run->supply, $run->controller] as $unit) {
            $cable = $unit !== null ? $this->cableTo($unit) : null;
            if ($cable !== null) {
                return $cable;
            }
        }
        foreach ($this->feedsOf($run) as $feed) {
            foreach (array_reverse($this->wayTo($feed->id)) as $cable) {
                return $cable;
            }
        }

        return null;
    }

    /** Whether a d.c. fuse or an in-line switch can be in a cable: not behind a dimming module, in a control line or the mains. */
    public function fusible(LaidCable $cable): bool
    {
        return !isset($this->plan->modules[$cable->from]);
    }

    /** Whether a cable ends in the terminals of a unit there: no joint is made for it. Strips and splices have none. */
    public function terminals(string $end): bool
    {
        return isset($this->plan->supplies[$end]) ||
            isset($this->plan->controllers[$end]) ||
            isset($this->plan->modules[$end]) ||
            isset($this->plan->fixtures[$end]);
    }

    /**
     * Ohm of one core's joint at the start and at the end of a cable: its connector, else the terminal of a unit, else solder.
     *
     * @return array{float, float}
     */
    public function joints(LaidCable $cable): array
    {
        $chosen = $this->plan->connector($cable->joint)?->ohms;
        $at = fn(string $end): float => $chosen ?? ($this->terminals($end) ? Connector::TERMINAL : Connector::SOLDERED);

        return [$at($cable->from), $at($cable->to)];
    }

    /** How a cable is joined where no connector is chosen for it: "terminals, soldered". */
    public function joined(LaidCable $cable): string
    {
        $at = fn(string $end): string => $this->terminals($end) ? 'terminals' : 'soldered';

        return implode(', ', array_unique([$at($cable->from), $at($cable->to)]));
    }

    /** Ohm of one core of a cable, with the joints at both its ends. */
    public function core(LaidCable $cable): float
    {
        return array_sum($this->joints($cable)) + $this->copper($cable, $cable->length);
    }

    /** Ohm of one core of so many metres of a cable's kind, at the job's cable temperature. */
    public function copper(LaidCable $cable, float $metres): float
    {
        return $this->plan->cable($cable->kit)?->conductor->ohms($metres, $this->plan->limits->cableCelsius) ?? 0.0;
    }
}
