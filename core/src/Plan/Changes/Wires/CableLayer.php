<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Converter;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\PixelOutputs;
use EmberDusk\Plan\Changes\Runs\SplitRun;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Splice;
use EmberDusk\Plan\Standing;

/** Puts units, feeds and cables into a plan from which the wiring of some runs was taken, and gives back old ids where they still fit. */
final class CableLayer
{
    public Plan $plan;

    /** @var array<string, array<string, Device>> supplies and controllers, as they will be */
    private array $devices;

    /** @var array<string, array<string, string>> units of this run only, id by run; the other ones are removed */
    private array $free = ['supplies' => [], 'controllers' => []];

    /** @var array<string, array<string, true>> given out already */
    private array $given = ['supplies' => [], 'controllers' => []];

    /** @var array<string, LaidCable> */
    private array $cables;

    /** @var array<string, Feed> */
    private array $feeds;

    /** @var array<string, Splice> */
    private array $splices;

    /** @var array<string, Run> */
    private array $equipped = [];

    /** @var array<string, KitSnapshot> */
    private array $kit;

    /** @param  array<string, Run>  $runs  whose wiring goes */
    public function __construct(private readonly Plan $old, private readonly array $runs)
    {
        $this->kit = $old->kit;
        $others = array_diff_key($old->runs, $runs);
        $lamps = [];
        foreach ($old->fixtures as $id => $fitting) {
            $lamps[(string) $old->ways()->root($old->ways()->cableTo($id)->from ?? '')] = true;
        }
        foreach (['supplies' => 'supply', 'controllers' => 'controller'] as $list => $unit) {
            $used = array_fill_keys(array_filter(array_map(static fn(Run $r): ?string => $r->{$unit}, $others)), true);
            foreach ($runs as $run) {
                // Pixels keep their board.
                $board = $unit === 'controller' && $old->strip($run->strip)?->switched() === false;
                if ($run->{$unit} !== null && !$board && !isset($used[$run->{$unit}])) {
                    $this->free[$list][$run->id] = $run->{$unit};
                }
            }
        }
        $plan = $old;
        foreach ($runs as $run) {
            $plan = $plan->fedBy($run, []);
        }
        // A bank stays while a converter is on it.
        $banks = array_column($old->supplies, 'bank');
        $this->free['supplies'] = array_diff($this->free['supplies'], $banks);
        $gone = array_fill_keys($this->free['controllers'], true);
        $this->plan = $plan;
        $this->devices = ['supplies' => $plan->supplies, 'controllers' => $plan->controllers];
        foreach (array_diff($this->free['supplies'], array_keys($lamps)) as $id) {
            unset($this->devices['supplies'][$id]);
        }
        $this->cables = array_filter($plan->cables, static fn(LaidCable $c): bool => !isset($gone[$c->to]));
        [$this->feeds, $this->splices] = [$plan->feeds, $plan->splices];
    }

    public function take(KitSnapshot $kit): string
    {
        $this->kit += [$kit->entry->id() => $kit];

        return $kit->entry->id();
    }

    /** @param  list<string>  $runs  that it feeds */
    public function device(string $list, string $kit, string $where, array $runs): string
    {
        $own = array_values(
            array_filter(
                array_map(fn(string $r): ?string => $this->free[$list][$r] ?? null, $runs),
                fn(?string $id): bool => $id !== null && !isset($this->given[$list][$id]),
            ),
        );
        // A light keeps its name, whichever run comes first.
        $named = array_values(array_filter($own, fn(string $id): bool => isset($this->old->lights[$id])));
        $id =
            $named[0] ??
            ($own[0] ??
                Plan::nextId(
                    $list === 'supplies' ? 's' : 'c',
                    $this->devices[$list] + $this->given[$list] + array_fill_keys($this->free[$list], true),
                ));
        $old = ($list === 'supplies' ? $this->old->supplies : $this->old->controllers)[$id] ?? null;
        $device = match (true) {
            $old === null => new Device($id, $kit),
            $old->kit === $kit => $old,
            // Other units have no bank and do not exist yet.
            ($this->kit[$kit]->entry ?? null) instanceof Converter => $old->withKit($kit),
            default => $old->withKit($kit)->on(null)->already(false),
        };
        $place = $this->old->runs[$runs[0] ?? '']->place ?? '';
        $this->devices[$list][$id] = $where === '' ? $device : $device->standing(new Standing($place, $where));
        $this->given[$list][$id] = true;

        return $id;
    }

    /** Data outputs of a board; null where a unit has none. */
    public function pixels(string $board): ?PixelOutputs
    {
        $entry = $this->kit[$this->devices['controllers'][$board]->kit ?? '']->entry ?? null;

        return $entry instanceof Controller ? $entry->pixels : null;
    }

    /** Id of a bank: that of the plan, else a new one, as surveyed. */
    public function bank(?string $unit, string $kit, int $series, int $parallel, Standing $stands): string
    {
        $id = $unit !== null && isset($this->old->supplies[$unit]) ? $unit : null;
        foreach ($this->devices['supplies'] as $device) {
            $same = $device->kit === $kit && $device->stands?->place === $stands->place;
            $id ??= $same && $device->stands->spot === $stands->spot ? $device->id : null;
        }
        $id ??= Plan::nextId('s', $this->devices['supplies'] + array_fill_keys($this->free['supplies'], true));
        $this->devices['supplies'][$id] ??=
            $this->old->supplies[$id] ??
            new Device($id, $kit, series: $series, parallel: $parallel, stands: $stands, there: true);
        $this->given['supplies'][$id] = true;

        return $id;
    }

    /** Connects a converter to its bank; an in-line switch in that cable stays. */
    public function converted(string $id, string $bank, string $kit, float $length, ?string $fuse): void
    {
        $this->devices['supplies'][$id] = $this->devices['supplies'][$id]->on($bank);
        $old = $this->old->ways()->cableTo($id);
        unset($this->cables[$old->id ?? '']);
        $this->cable(kit: $kit, from: $bank, to: $id, length: $length, fuse: $fuse, switch: $old?->switch);
    }

    /** @return non-empty-list<Run> the run itself, or its halves */
    public function equip(string $id, string $supply, ?string $controller, bool $halves): array
    {
        $run = $this->old->runs[$id];
        $parts = $halves ? array_values(SplitRun::cut($run, 2, $this->old->runs + $this->equipped)) : [$run];
        foreach ($parts as $n => $part) {
            $parts[$n] = $part->equipped($run->strip, $supply, $controller ?? $run->controller);
            $this->equipped[$part->id] = $parts[$n];
        }
        $this->plan = $this->plan->with(runs: $this->equipped + $this->plan->runs, kit: $this->kit);

        return $parts;
    }

    public function feed(Run $run, int $pad): string
    {
        foreach ($this->old->ways()->feedsOf($run) as $feed) {
            if ($feed->pad === $pad && !isset($this->feeds[$feed->id])) {
                $this->feeds[$feed->id] = $feed;

                return $feed->id;
            }
        }
        $id = Plan::nextId('f', $this->feeds + $this->old->feeds);
        $this->feeds[$id] = new Feed($id, $run->id, $pad);

        return $id;
    }

    public function splice(string $where): string
    {
        $id = Splice::nextId($this->old, $this->splices);
        $this->splices[$id] = new Splice($id, $where);

        return $id;
    }

    public function cable(
        string $kit,
        string $from,
        string $to,
        float $length,
        ?string $fuse,
        bool $existing = false,
        string $leg = '',
        string $laid = '',
        bool $measured = false,
        ?string $switch = null,
    ): void {
        $old = $this->old->ways()->cableTo($to);
        if ($old !== null && !isset($this->cables[$old->id])) {
            $id = $old->id;
        } else {
            $id = Plan::nextId('k', $this->cables + $this->old->cables);
        }
        $measured = $measured || ($old !== null && !$old->reckoned && abs($old->length - $length) < 0.005);
        $this->cables[$id] = new LaidCable(
            id: $id,
            kit: $kit,
            from: $from,
            to: $to,
            length: $length,
            reckoned: !$measured,
            fuse: $fuse,
            existing: $existing,
            leg: $leg,
            switch: $switch,
            laid: $laid !== '' || $old?->kit !== $kit ? $laid : $old->laid,
        );
    }

    /** The plan without units that are no longer used. */
    public function laid(): Plan
    {
        $runs = $this->equipped + array_diff_key($this->old->runs, $this->runs);
        $used = array_fill_keys(array_filter(array_map(static fn(Run $r): ?string => $r->controller, $runs)), true);
        $lost = array_diff_key(array_fill_keys($this->free['controllers'], true), $used);
        $controllers = array_diff_key($this->devices['controllers'], $lost);

        foreach ($this->equipped as $run) {
            $trunk =
                $this->plan->of($run)->board() === null ? null : $this->old->ways()->cableTo((string) $run->controller);
            if ($trunk !== null && !isset($this->devices['supplies'][$trunk->from])) {
                // The board keeps its cable, at the new supply.
                $this->cables[$trunk->id] = $trunk->from((string) $run->supply);
            }
        }

        // A converter that is no longer used takes its cable with it.
        $unused = array_diff_key(array_fill_keys($this->free['supplies'], true), $this->devices['supplies']);

        return $this->plan->with(
            runs: $runs,
            supplies: $this->devices['supplies'],
            controllers: $controllers,
            feeds: $this->feeds,
            splices: $this->splices,
            cables: array_filter($this->cables, static fn(LaidCable $c): bool => !isset($unused[$c->to])),
            lights: array_intersect_key($this->old->lights, $controllers + $this->old->modules),
            kit: $this->kit,
        );
    }
}
