<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

use EmberDusk\Formats\Fields;
use EmberDusk\Measure\TapeNotes;
use EmberDusk\Plan\Changes\ShelfSource;
use EmberDusk\Plan\Frozen;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Everything to buy, cut and bring, derived from plan, kit and mounting; nothing is typed twice. */
final readonly class PartsList
{
    /** Metres more at each end of a lead, to work with (common practice, no source). */
    private const SLACK = 0.15;

    /** Metres between anchors: 0.6 to 0.9 (common practice, no source). */
    private const ANCHOR = 0.75;

    /** What is used where nobody chose a joint. */
    private const SOLDERED = 'connector-solder';

    /** Metres on a reel of strip where the shelf is silent (common practice, no source). */
    private const REEL = 5.0;

    /** Metres between ties under what moves (common practice, no source). */
    private const TIE = 0.3;

    /**
     * @param  list<Part>  $parts
     * @param  list<StockCut>  $cuts
     * @param  list<Run>  $bare  runs without a strip: nothing of them is in the list
     */
    private function __construct(public array $parts, public array $cuts, public array $bare)
    {
    }

    public static function of(Plan $plan, ShelfSource $shelf): self
    {
        $wanted = new Wanted($plan);
        $lengths = [];
        $bare = [];
        foreach ($plan->runs as $run) {
            if ($plan->cutMarks($run) === null) {
                $bare[] = $run;

                continue;
            }
            foreach (self::strip($plan, $run, $wanted) as $piece) {
                $lengths[(string) $run->strip][] = $piece;
            }
            foreach (self::mounting($plan, $run, $shelf, $wanted) as $id => $pieces) {
                $lengths[$id] = [...$lengths[$id] ?? [], ...$pieces];
            }
        }
        self::cables($plan, $shelf, $wanted);
        self::units($plan, $wanted);
        $cuts = [];
        foreach ($lengths as $id => $pieces) {
            $kit = $plan->kit[$id] ?? $shelf->find($id);
            $written = new Fields($kit->written ?? []);
            $stock = $written->numberOrNull('reelMetres') ?? $written->numberOrNull('stockMetres') ?? self::REEL;
            $strip = $plan->strip($id);
            // A reel is cut at its marks only: what is behind the last one is lost.
            $stock = $strip === null ? $stock : floor($stock / $strip->pitch + 1e-9) * $strip->pitch;
            $cuts[] = $cut = StockCut::of($id, $kit?->entry->name() ?? $id, (int) round(1000 * $stock), $pieces, true);
            $wanted->add($strip === null ? null : $shelf->find(self::SOLDERED), 'Joint', $cut->joints * (count($strip->channels ?? []) + 1.0), 'piece', "{$cut->name}: reels are joined at ".$cut->joints.' places', true);
        }

        return new self($wanted->parts(array_combine(array_map(static fn (StockCut $c): string => $c->kit, $cuts), array_map(static fn (StockCut $c): int => $c->cuts->bought, $cuts))), $cuts, $bare);
    }

    /** @return list<array{int, string}> */
    private static function strip(Plan $plan, Run $run, Wanted $wanted): array
    {
        $marks = $plan->cutMarks($run);
        $pieces = [];
        foreach ($marks->groups ?? [] as $n => $groups) {
            $pieces[] = [(int) round(1000 * $groups * ($marks->pitch ?? 0.0)), $run->name().(count($marks->groups ?? []) > 1 ? ' section '.($n + 1) : '')];
        }
        $wanted->add($plan->kit[(string) $run->strip] ?? null, 'Strip', $marks?->length() ?? 0.0, 'm', "{$run->name()}, {$plan->terms->say($marks?->length() ?? 0.0)}", false, self::reel($plan, $run), self::reel($plan, $run));
        foreach ($marks->jumps ?? [] as $jump) {
            $wanted->add(self::lead($plan, $run), 'Cable', $jump + 2 * self::SLACK, 'm', "{$run->name()}, lead between sections");
        }

        return $pieces;
    }

    /** Metres of strip on a reel. */
    private static function reel(Plan $plan, Run $run): float
    {
        return (new Fields($plan->kit[(string) $run->strip]->written ?? []))->numberOrNull('reelMetres') ?? self::REEL;
    }

    /** The run's own tail cable also makes the leads between its sections. */
    private static function lead(Plan $plan, Run $run): ?Frozen
    {
        foreach ($plan->feedsOf($run) as $feed) {
            $cable = $plan->cableTo($feed->id);
            if ($cable !== null) {
                return $plan->kit[$cable->kit] ?? null;
            }
        }

        return null;
    }

    /** @return array<string, list<array{int, string}>> pieces of profile and diffuser by shelf id */
    private static function mounting(Plan $plan, Run $run, ShelfSource $shelf, Wanted $wanted): array
    {
        $damp = TapeNotes::read($plan->places[$run->place]->notes ?? '')->site->damp === true || in_array('outdoors', $run->mounting, true);
        $metres = $run->length();
        $sections = count($run->sections);
        $pieces = [];
        if (in_array('profile', $run->mounting, true)) {
            $profile = self::first($shelf, 'profile', static fn (Fields $f): bool => ($f->has('outdoors') && $f->flag('outdoors')) === $damp) ?? self::first($shelf, 'profile', static fn (): bool => true);
            foreach (array_filter([[$profile, 'Profile'], [self::first($shelf, 'diffuser', static fn (): bool => true), 'Diffuser']], static fn (array $k): bool => $k[0] !== null) as [$kit, $group]) {
                $wanted->add($kit, $group, $metres, 'm', "{$run->name()} goes into profile");
                foreach ($run->sections as $n => $length) {
                    $pieces[$kit->entry->id()][] = [(int) round(1000 * $length), $run->name().($sections > 1 ? ' section '.($n + 1) : '')];
                }
            }
        }
        if (array_intersect($run->mounting, ['profile', 'outdoors']) !== []) {
            $anchors = array_sum(array_map(static fn (float $l): float => ceil($l / self::ANCHOR) + 1, $run->sections));
            $clips = self::consumable($shelf, 'consumable-clips');
            $wanted->add($clips, 'Fixing', $anchors, 'piece', sprintf('%s, an anchor every %.2f m', $run->name(), self::ANCHOR), false, self::per($clips));
        } elseif (in_array('moving', $run->mounting, true)) {
            $ties = self::consumable($shelf, 'consumable-ties');
            $wanted->add($ties, 'Fixing', ceil($metres / self::TIE), 'piece', sprintf('%s moves: a tie every %.1f m', $run->name(), self::TIE), false, self::per($ties));
        } else {
            $alcohol = self::consumable($shelf, 'consumable-alcohol');
            $wanted->add($alcohol, 'Consumable', $metres, 'm', "{$run->name()}, what it sticks to is cleaned", false, self::per($alcohol));
        }
        if ($damp) {
            $silicone = self::consumable($shelf, 'consumable-silicone');
            $wanted->add($silicone, 'Consumable', 2.0 * $sections, 'end', "{$run->name()} lies damp: its ends are sealed", false, self::per($silicone));
        }

        return $pieces;
    }

    private static function cables(Plan $plan, ShelfSource $shelf, Wanted $wanted): void
    {
        $solder = $shelf->find(self::SOLDERED) ?? self::first($shelf, 'connector', static fn (Fields $f): bool => $f->string('joint') === 'solder');
        $wire = self::consumable($shelf, 'consumable-solder-wire');
        foreach ($plan->cables as $cable) {
            $name = strtoupper($cable->id);
            if (! $cable->existing) {
                $wanted->add($plan->kit[$cable->kit] ?? null, 'Cable', $cable->length + 2 * self::SLACK, 'm', sprintf('%s, %s to %s, %s and slack', $name, strtoupper($cable->from), strtoupper($cable->to), $plan->terms->say($cable->length)));
            }
            $cores = self::cores($plan, $cable);
            $joint = $plan->kit[$cable->joint ?? ''] ?? $solder;
            $wanted->add($joint, 'Joint', 2.0 * $cores, 'piece', "{$name}, {$cores} cores at both ends", true);
            if ($joint === $solder) {
                $wanted->add($wire, 'Consumable', 2.0 * $cores, 'joint', 'soldered joints', false, self::per($wire));
            }
            $wanted->add($plan->kit[$cable->fuse ?? ''] ?? null, 'Fuse', 1.0, 'piece', "at the start of {$name}", true);
        }
    }

    private static function cores(Plan $plan, LaidCable $cable): int
    {
        $run = isset($plan->feeds[$cable->to]) ? $plan->run($plan->feeds[$cable->to]->run) : null;

        return $run === null ? 2 : count($plan->strip($run->strip)->channels ?? []) + 1;
    }

    private static function units(Plan $plan, Wanted $wanted): void
    {
        foreach (['Supply' => $plan->supplies, 'Controller' => $plan->controllers, 'Hub' => $plan->hubs, 'Module' => $plan->modules] as $group => $units) {
            foreach ($units as $id => $unit) {
                $on = array_map(static fn (Run $r): string => $r->name(), array_values(array_filter($plan->runs, static fn (Run $r): bool => $r->supply === $id || $r->controller === $id)));
                $wanted->add($plan->kit[$unit->kit] ?? null, $group, (float) ($unit->series * $unit->parallel), 'piece', strtoupper($id).($on === [] ? '' : ' for '.implode(', ', $on)).($unit->where === '' ? '' : " in {$unit->where}"));
            }
        }
        foreach ($plan->fixtures as $id => $fitting) {
            $wanted->add($plan->kit[$fitting->kit] ?? null, 'Fixture', (float) $fitting->count, 'piece', strtoupper($id).' at '.($plan->places[$fitting->place]->name ?? ''));
        }
    }

    /** @param  callable(Fields): bool  $fits */
    private static function first(ShelfSource $shelf, string $kind, callable $fits): ?Frozen
    {
        foreach ($shelf->ofKind($kind) as $frozen) {
            if ($fits(new Fields($frozen->written))) {
                return $frozen;
            }
        }

        return null;
    }

    private static function consumable(ShelfSource $shelf, string $id): ?Frozen
    {
        return $shelf->find($id);
    }

    /** How many uses one that is bought holds. */
    private static function per(?Frozen $kit): float
    {
        return (new Fields($kit->written ?? []))->numberOrNull('per') ?? 1.0;
    }
}
