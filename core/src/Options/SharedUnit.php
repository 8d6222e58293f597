<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Checks\Supply\Headroom;
use EmberDusk\Circuit\ControllerLoad;
use EmberDusk\Circuit\SupplyLoad;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\Job\ChangeGroup;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Plan\Changes\Kit\ShareKit;
use EmberDusk\Plan\Changes\Wires\ArrangeData;
use EmberDusk\Plan\DataLine;
use EmberDusk\Plan\DataOutput;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Refusal;

/**
 * All alike runs of a place on the controller or board of one of them, as far as it and a supply of the shelf carry them: one unit to hide, wire
 * and join instead of several.
 */
final readonly class SharedUnit
{
    private function __construct(private Plan $plan, private Run $run, private ShelfSource $shelf) {}

    /** Null where no other run can join it. */
    public static function for(Plan $plan, Run $run, ShelfSource $shelf): ?Fix
    {
        return $run->controller === null || $run->supply === null
            ? null
            : (new self($plan, $run, $shelf))->fix($run->controller, $run->supply);
    }

    private function fix(string $unit, string $supply): ?Fix
    {
        $after = $shared = $this->plan;
        $changes = $order = [];
        foreach ($this->alike($unit) as $other) {
            $share = ShareKit::payload(run: $other->id, with: $unit);
            try {
                $with = Catalogue::make($share, $this->shelf)->apply($shared);
                $chain = $this->chain($with, $unit);
                $then = $chain === null ? $with : Catalogue::make($chain, $this->shelf)->apply($with);
            } catch (Refusal) {
                continue;
            }
            if (self::carries($then, $unit) && $this->supplies($then, $supply) !== null) {
                [$shared, $after, $changes] = [$with, $then, [...$changes, $share]];
                $order = $chain === null ? [] : [$chain];
            }
        }
        if ($changes === []) {
            return null;
        }
        $count = count(array_filter($after->runs, static fn(Run $r): bool => $r->controller === $unit));
        $place = $this->plan->places[$this->run->place]->name ?? '';
        $name = strtoupper($unit);
        $needs = $this->supplies($after, $supply) ?? [];

        return new Fix(
            sprintf('%d runs of %s on %s', $count, $place, $name) .
                ($this->plan->controller($unit)?->pixels === null ? ', as one light' : '') .
                ($needs === [] ? '' : ', with a larger supply'),
            ChangeGroup::payload(
                words: "{$count} runs of {$place} on {$name}",
                changes: [...$changes, ...$order, ...$needs],
            ),
        );
    }

    /** @return list<Run> of the same place and kind of strip, each with its own controller that is not pinned */
    private function alike(string $unit): array
    {
        $strip = $this->plan->strip($this->run->strip);

        return array_values(
            array_filter(
                $this->plan->runs,
                fn(Run $r): bool => $r->place === $this->run->place &&
                    $r->controller !== null &&
                    $r->controller !== $unit &&
                    $r->parts === 1 &&
                    $r->zones === [] &&
                    !in_array('kit', $r->pins, true) &&
                    $this->plan->strip($r->strip)?->volts === $strip?->volts,
            ),
        );
    }

    /** All runs of a board on one data line, as they follow in the notes, where it has too few outputs; an order made by hand stays. */
    private function chain(Plan $plan, string $unit): ?ChangePayload
    {
        $outputs = $plan->controller($unit)?->pixels?->count;
        $arranged = array_filter($plan->lines, static fn(DataLine $l): bool => $l->board === $unit);
        if ($outputs === null || $arranged !== [] || count(DataOutput::needed($plan, $unit)) <= $outputs) {
            return null;
        }
        $words = array_flip(array_keys(WallNotes::read($plan->places[$this->run->place]->notes ?? '')->runs));
        $runs = array_filter($plan->runs, static fn(Run $r): bool => $r->controller === $unit);
        uasort($runs, static fn(Run $a, Run $b): int => ($words[$a->word] ?? INF) <=> ($words[$b->word] ?? INF));

        return ArrangeData::payload($unit, [new DataLine('0', $unit, array_map(strval(...), array_keys($runs)))]);
    }

    private static function carries(Plan $plan, string $unit): bool
    {
        $controller = $plan->controller($unit);
        if ($controller === null) {
            return false;
        }
        if ($controller->pixels !== null) {
            $outputs = count(DataOutput::needed($plan, $unit));
            $amps = $plan->ways()->boardAmps($unit);

            return $outputs > 0 && $outputs <= $controller->pixels->count && $amps <= $controller->totalAmps;
        }
        $load = ControllerLoad::for($plan, $unit);

        return $load->fullest() <= $controller->channelAmps && $load->amps <= $controller->totalAmps;
    }

    /** @return list<ChangePayload>|null none where the supply is enough; the least dear one that is; null where the shelf has none */
    private function supplies(Plan $plan, string $supply): ?array
    {
        $watts = SupplyLoad::for($plan, $supply)->watts();
        $now = $plan->supply($supply);
        if ($now === null || Headroom::enough($plan, $now, $watts)) {
            return [];
        }
        $larger = $plan->power()->surveyed($supply) !== null ? null : $this->larger($plan, $now, $watts);

        return $larger === null ? null : [ChooseKit::payload(run: $this->run->id, kit: $larger->entry->id())];
    }

    private function larger(Plan $plan, Supply $now, float $watts): ?KitSnapshot
    {
        return (new Choice($plan, false))->least(
            $this->shelf->ofKind('supply'),
            Supply::class,
            static fn(Supply $s): bool => abs($s->volts - $now->volts) < 0.5 && Headroom::enough($plan, $s, $watts),
        );
    }
}
