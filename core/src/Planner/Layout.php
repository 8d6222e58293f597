<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Formats\Json;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\Wires\BlockWires;
use EmberDusk\Plan\Changes\Wires\BoardWires;
use EmberDusk\Plan\Changes\Wires\LegWire;
use EmberDusk\Plan\Changes\Wires\RunWires;
use EmberDusk\Plan\Changes\Wires\SupplyWires;
use EmberDusk\Plan\Changes\Wires\TailWire;
use EmberDusk\Plan\Changes\Wires\Wire;
use EmberDusk\Plan\Changes\Wires\WireRuns;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\Routes;
use EmberDusk\Rates\Joints;

/** All decisions about runs that share a supply: the source and its place, the blocks on it. Ids are sorted. */
final readonly class Layout
{
    /** @param  list<RunBlock>  $blocks  in the order of their first runs */
    public function __construct(public PowerSource $source, public string $place, public array $blocks) {}

    /** @return list<string> ids */
    public function runs(): array
    {
        return array_merge(
            ...array_map(
                static fn(RunBlock $b): array => array_map(static fn(FeedOption $f): string => $f->run, $b->feeds),
                $this->blocks,
            ),
        );
    }

    public function cost(Tables $tables): int
    {
        return $this->source->total() +
            array_sum(
                array_map(
                    fn(RunBlock $b): int => $b->cost($tables, $this->place) +
                        $this->fuses($tables, $b)[0] -
                        $tables->costs->terminals($this->spared($tables, $b)),
                    $this->blocks,
                ),
            );
    }

    public function joints(Tables $tables): int
    {
        return $this->source->joined() +
            array_sum(
                array_map(
                    fn(RunBlock $b): int => $b->joints() + $this->fuses($tables, $b)[1] - $this->spared($tables, $b),
                    $this->blocks,
                ),
            );
    }

    /** Cores of a block's cables that begin at the posts of a bank: they are fitted in a step of their own. */
    private function spared(Tables $tables, RunBlock $block): int
    {
        return $this->source->tapped() ? $block->starts($tables) : 0;
    }

    /** How many places hold a supply or a controller. */
    public function boxes(): int
    {
        return count(
            array_unique([
                ...$this->source->tapped() ? [] : [$this->place],
                ...array_map(
                    static fn(RunBlock $b): string => $b->place,
                    array_filter($this->blocks, static fn(RunBlock $b): bool => $b->controller !== null),
                ),
                ...array_map(
                    static fn(PlannedBoard $b): string => $b->place,
                    array_filter($this->source->boards, static fn(PlannedBoard $b): bool => $b->unit === null),
                ),
            ]),
        );
    }

    /** The decisions as JSON, to break ties. */
    public function key(): string
    {
        return Json::compact([
            'blocks' => array_map(static fn(RunBlock $b): array => $b->decision(), $this->blocks),
            'place' => $this->place,
            'supply' => $this->source->decision(),
            ...$this->source->boards === []
                ? []
                : ['boards' => array_map(static fn(PlannedBoard $b): array => $b->decision(), $this->source->boards)],
        ]);
    }

    /**
     * As the supply of a {@see WireRuns}.
     *
     * @param  float|null  $trunk  metres instead of those of the route
     */
    public function wires(Tables $tables, bool $fused = true, ?float $trunk = null): SupplyWires
    {
        return new SupplyWires(
            kit: $this->source->unit->entry->id(),
            where: $this->source->tapped() ? '' : Routes::where($this->place),
            blocks: array_map(fn(RunBlock $b): BlockWires => $this->block($tables, $b, $fused, $trunk), $this->blocks),
            bank: $this->source->wires(),
            boards: array_map(static fn(PlannedBoard $b): BoardWires => $b->wires(), $this->source->boards),
        );
    }

    /** Applies the layout to a plan. */
    public function built(Plan $plan, Tables $tables, ShelfSource $shelf): Plan
    {
        return Catalogue::make(WireRuns::payload([$this->wires($tables)]), $shelf)->apply($plan);
    }

    private function block(Tables $tables, RunBlock $block, bool $fused, ?float $trunk): BlockWires
    {
        $fuse = $fused ? $this->fuse($tables, $block->capacity($tables))?->entry->id() : null;
        $runs = [];
        foreach ($block->feeds as $feed) {
            $own = $block->trunk === null && $feed->leg === null ? $fuse : null;
            $runs[] = new RunWires(
                run: $feed->run,
                halves: $feed->halves(),
                tails: array_map(
                    static fn(int $pad, KitSnapshot $tail, float $length): TailWire => new TailWire(
                        pad: $pad,
                        wire: new Wire($tail->entry->id(), $length, $own),
                    ),
                    $feed->pads,
                    $feed->tails,
                    $feed->lengths,
                ),
                leg: self::leg($block, $feed, $fuse),
            );
        }
        $length = $trunk ?? ($block->trunk === null ? 0.0 : $tables->routes->trunk($this->place, $block->place));

        return new BlockWires(
            kit: $block->controller?->entry->id(),
            where: Routes::where($block->place),
            runs: $runs,
            trunk: $block->trunk === null ? null : new Wire($block->trunk->entry->id(), $length, $fuse),
        );
    }

    private static function leg(RunBlock $block, FeedOption $feed, ?string $fuse): ?LegWire
    {
        if ($feed->leg === null) {
            return null;
        }

        return new LegWire(
            name: $feed->leg->leg->name,
            kit: $feed->leg->leg->kit->entry->id(),
            length: $feed->leg->leg->length,
            measured: $feed->leg->leg->measured,
            laid: $feed->leg->leg->laid,
            with: $feed->tails[0]->entry->id(),
            lead: $feed->leg->lead,
            fuse: $block->trunk === null ? $fuse : null,
            ends: [$feed->leg->near->name, $feed->leg->far->name],
        );
    }

    /** @return array{int, int} cost and joints of a block's fuses: one in the trunk, or one in each cable that leaves the supply */
    private function fuses(Tables $tables, RunBlock $block): array
    {
        $fuse = $this->fuse($tables, $block->capacity($tables));
        if ($block->trunk !== null) {
            $count = 1;
        } else {
            $count = array_sum(
                array_map(static fn(FeedOption $f): int => $f->leg === null ? count($f->pads) : 1, $block->feeds),
            );
        }
        if ($fuse === null) {
            return [0, 0];
        }

        return [$count * $tables->costs->fuse($fuse), $count * Joints::FUSED];
    }

    /** None where the supply itself cannot keep up more than the thinnest cable carries. */
    public function fuse(Tables $tables, float $capacity): ?KitSnapshot
    {
        return $this->source->guard($tables->priced, $capacity);
    }

    /** Description: positions and feeding of each run. */
    public function words(Plan $plan): string
    {
        $size = static fn(KitSnapshot $f): string => $f->entry instanceof Cable
            ? "{$f->entry->cores} x {$f->entry->conductor->label()}"
            : $f->entry->name();
        $place = static fn(string $p): string => Routes::where($p) === '' ? '' : " in {$p}";
        $blocks = [];
        foreach ($this->blocks as $block) {
            $runs = array_map(
                static fn(FeedOption $f): string => $plan->run($f->run)->name() .
                    ($f->leg === null ? ' fed at ' : ' fed by ') .
                    Feeding::words($plan, $plan->run($f->run), $f->pattern, $f->pads) .
                    ', ' .
                    $size($f->tails[0]),
                $block->feeds,
            );
            $blocks[] =
                implode('; ', $runs) .
                ($block->controller === null
                    ? ''
                    : ", {$block->controller->entry->name()}{$place($block->place)}, trunk {$size(
                        $block->trunk ?? $block->controller,
                    )}");
        }

        $bank = $this->source->bank?->name();
        $source = $this->source->tapped()
            ? "straight from {$bank}"
            : $this->source->unit->entry->name() . $place($this->place) . ($bank === null ? '' : " on {$bank}");

        return implode('; ', [
            implode('; ', $blocks) . ", {$source}",
            ...array_map(static fn(PlannedBoard $b): string => $b->of($plan), $this->source->boards),
        ]);
    }
}
