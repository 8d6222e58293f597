<?php

declare(strict_types=1);

namespace EmberDusk\Tests;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Shelf;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Limits;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Scene;

/**
 * Circuits that no demo has, built part by part with kit of their own; every call gives a new one.
 *
 * @phpstan-type Written array<string, mixed>
 */
final class Circuits
{
    use CircuitKit, CircuitVerdicts;

    /** @var array<string, array<string, mixed>> things by list and id */
    private array $lists = [];

    /** @var array<string, KitSnapshot> */
    private array $kit = [];

    private Limits $limits;

    private function __construct(private string $notes)
    {
        $this->limits = new Limits();
    }

    /** A place with these wall notes, and nothing in it. */
    public static function in(string $notes = 'dry'): self
    {
        return new self($notes);
    }

    /** @param  Written  $entry */
    public function supply(string $id, array $entry = []): self
    {
        return $this->device(
            'supplies',
            $id,
            self::written('supply', $entry + ['volts' => 24.0, 'ratedAmps' => 10.0, 'sourceOhms' => 0.005]),
        );
    }

    /** @param  Written  $entry */
    public function bank(string $id, array $entry = [], int $series = 1, int $parallel = 1, string $at = ''): self
    {
        $new = $this->device(
            'supplies',
            $id,
            self::written('battery', $entry + ['volts' => 12.0, 'ampHours' => 210.0]),
        );
        $device = $new->lists['supplies'][$id];
        assert($device instanceof Device);
        $new->lists['supplies'][$id] = $device
            ->blocks($series, $parallel)
            ->standing($at === '' ? null : new \EmberDusk\Plan\Standing('room', $at));

        return $new;
    }

    /** @param  Written  $entry */
    public function converter(string $id, array $entry, ?string $bank = null): self
    {
        $new = $this->device(
            'supplies',
            $id,
            self::written('converter', $entry + ['inputLeast' => 9, 'inputMost' => 60, 'efficiency' => 0.9]),
        );
        $device = $new->lists['supplies'][$id];
        assert($device instanceof Device);
        $new->lists['supplies'][$id] = $device->on($bank);

        return $new;
    }

    /** @param  Written  $entry */
    public function controller(string $id, array $entry = [], ?string $setting = null): self
    {
        $new = $this->device(
            'controllers',
            $id,
            self::written(
                $entry['kind'] ?? 'controller',
                $entry + [
                    'channels' => 2,
                    'channelAmps' => 10.0,
                    'totalAmps' => 20.0,
                    'inputLeast' => 5.0,
                    'inputMost' => 60.0,
                    'commonOhms' => 0.004,
                    'channelOhms' => 0.018,
                    'standbyAmps' => 0.0,
                    'family' => 'rf',
                    'modes' => ['single', 'tunable', 'rgb', 'rgbw'],
                    'setBy' => 'none',
                    'dimHertz' => 1000.0,
                ],
            ),
        );
        $device = $new->lists['controllers'][$id];
        assert($device instanceof Device);
        $new->lists['controllers'][$id] = $device->set($setting);

        return $new;
    }

    /**
     * A pixel board of a run that is there already.
     *
     * @param  Written  $entry
     */
    public function board(string $id, array $entry, string $run): self
    {
        $new = $this->device('controllers', $id, self::written('board', $entry));
        $of = $new->lists['runs'][$run];
        assert($of instanceof Run);

        return $new->put('runs', $run, $of->equipped(controller: $id));
    }

    /**
     * A run along the wall of the place; by default single-colour strip of 24 V and 9.6 W/m.
     *
     * @param  Written  $strip
     * @param  list<string>  $mounting
     * @param  list<int>  $zones
     */
    public function run(
        string $id,
        float $metres,
        array $strip = [],
        ?string $supply = null,
        ?string $controller = null,
        array $mounting = ['profile'],
        float $cap = 1.0,
        array $zones = [],
    ): self {
        $new = clone $this;
        $kit = $new->keep(($strip['kind'] ?? '') === 'pixels' ? self::pixels($strip) : self::strip($strip));
        $new->lists['runs'][$id] = new Run(
            id: $id,
            place: 'room',
            word: $id,
            sections: [$metres],
            jumps: [],
            strip: $kit,
            supply: $supply,
            controller: $controller,
            mounting: $mounting,
            cap: $cap,
            zones: $zones,
        );

        return $new;
    }

    /** @param  Written  $entry */
    public function fixture(string $id, int $count, array $entry = [], ?string $module = null): self
    {
        $new = clone $this;
        $kit = $new->keep(
            self::written(
                'fixture',
                $entry + ['watts' => 6.0, 'dim' => 'supply', 'volts' => 12.0, 'leastVolts' => 9.0],
            ),
        );
        $new->lists['fixtures'][$id] = new Fitting($id, $kit, 'room', $count, module: $module);

        return $new;
    }

    /** @param  Written  $entry */
    public function module(string $id, array $entry): self
    {
        return $this->device('modules', $id, self::written((string) $entry['kind'], $entry));
    }

    /** @param  Written  $entry */
    public function hub(string $id, array $entry): self
    {
        return $this->device('hubs', $id, self::written('hub', $entry));
    }

    /** @param  Written  $entry */
    public function item(string $id, string $kind, array $entry, ?string $on, int $count = 1): self
    {
        $new = clone $this;
        $new->lists['items'][$id] = new Item(
            id: $id,
            kit: $new->keep(self::written($kind, $entry)),
            place: 'room',
            count: $count,
            on: $on,
        );

        return $new;
    }

    public function feed(string $id, string $run, int $pad): self
    {
        return $this->put('feeds', $id, new Feed($id, $run, $pad));
    }

    /**
     * @param  string  $size  cores and size: "2x2.5", "3x14awg"; "r" behind it is rigid
     * @param  float|null  $fuse  amps at its start
     * @param  float|null  $joint  amps that its connectors carry
     * @param  array{amps: float, volts: float}|array{}  $switch  in it
     */
    public function cable(
        string $id,
        string $size,
        string $from,
        string $to,
        float $metres = 1.0,
        ?float $fuse = null,
        ?float $joint = null,
        bool $existing = false,
        string $laid = '',
        bool $reckoned = false,
        array $switch = [],
        ?float $fuseVolts = null,
        string $leg = '',
    ): self {
        $new = clone $this;
        $of = sscanf($size, '%dx%f%s');
        [$cores, $area, $kind] = [$of[0] ?? 2, $of[1] ?? 1.0, (string) ($of[2] ?? '')];
        $awg = $kind === 'awg';
        $kit = $new->keep([
            'kind' => 'cable',
            'id' => 'cable-' . strtr($size, '.', '-'),
            'name' => $size,
            'cores' => $cores,
            'system' => $awg ? 'awg' : 'mm2',
            'size' => $area,
            'make' => $awg || $kind === 'r' ? 'stranded' : 'flexible',
            'price' => 1.0,
        ]);
        if ($fuse !== null) {
            $kept = $new->keep(self::written('fuse', ['amps' => $fuse, 'form' => 'blade', 'volts' => $fuseVolts]));
        }
        if ($joint !== null) {
            $clip = $new->keep(self::written('connector', ['joint' => 'clip', 'ohms' => 0.01, 'amps' => $joint]));
        }
        $new->lists['cables'][$id] = new LaidCable(
            id: $id,
            kit: $kit,
            from: $from,
            to: $to,
            length: $metres,
            reckoned: $reckoned,
            joint: $clip ?? null,
            fuse: $kept ?? null,
            existing: $existing,
            laid: $laid,
            switch: $switch === [] ? null : $new->keep(self::written('switch', $switch)),
            leg: $leg,
        );

        return $new;
    }

    /** A unit at a spot of the place. */
    public function standing(string $supply, string $spot, string $place = 'room'): self
    {
        $of = $this->lists['supplies'][$supply];
        assert($of instanceof Device);

        return $this->put('supplies', $supply, $of->standing(new \EmberDusk\Plan\Standing($place, $spot)));
    }

    /** @param  Written  $entry */
    public function profile(string $run, array $entry): self
    {
        $new = clone $this;
        $kit = $new->keep(self::written('profile', $entry + ['heatWatts' => 30.0]));
        $new->lists['makings'][$run] = new \EmberDusk\Plan\Assembly($run, profile: $kit);

        return $new;
    }

    /** A supply, a controller and one run fed at its start, wired in a size that nothing here is too much for. */
    public static function simple(float $metres = 2.0, string $notes = 'dry'): self
    {
        return self::in($notes)
            ->supply('s1')
            ->controller('c1')
            ->run('r1', $metres, [], 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1')
            ->cable('k2', '2x2.5', 'c1', 'f1');
    }

    public function limits(Limits $limits): self
    {
        $new = clone $this;
        $new->limits = $limits;

        return $new;
    }

    /** Two runs as the first and the second part of one. */
    public function parts(string $one, string $two): self
    {
        $new = clone $this;
        foreach ([$one, $two] as $n => $id) {
            $of = $new->lists['runs'][$id];
            assert($of instanceof Run);
            $new->lists['runs'][$id] = new Run(
                id: $id,
                place: $of->place,
                word: $one,
                sections: $of->sections,
                jumps: [],
                strip: $of->strip,
                supply: $of->supply,
                controller: $of->controller,
                part: $n + 1,
                parts: 2,
            );
        }

        return $new;
    }

    /** The limit of a run's controller is set and checked. */
    public function checked(string $run): self
    {
        $of = $this->lists['runs'][$run];
        assert($of instanceof Run);

        return $this->put('runs', $run, $of->capped($of->cap, true));
    }

    /** @param  array<string, list<float>>  $levels  by controller, or by pixel run */
    public function scene(string $id, array $levels): self
    {
        return $this->put('scenes', $id, new Scene($id, $id, levels: $levels));
    }

    public function put(string $list, string $id, object $thing): self
    {
        $new = clone $this;
        $new->lists[$list][$id] = $thing;

        return $new;
    }

    public function plan(): Plan
    {
        return (new Plan('A job', 'Somebody', $this->limits))->with(
            /** @phpstan-ignore argument.type (things are checked as they are put in) */
            ...[
                ...$this->lists,
                'places' => ['room' => new Place('room', 'Room', $this->notes)] + ($this->lists['places'] ?? []),
                'kit' => $this->kit,
            ],
        );
    }

    /** @param  Written  $written */
    private function device(string $list, string $id, array $written): self
    {
        $new = clone $this;
        $new->lists[$list][$id] = new Device($id, $new->keep($written));

        return $new;
    }

    /** @param  Written  $written */
    private function keep(array $written): string
    {
        $this->kit[$written['id']] = new KitSnapshot(
            Shelf::hash($written),
            $written,
            Shelf::entry(new Fields($written)),
        );

        return $written['id'];
    }
}
