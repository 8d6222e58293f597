<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\BatteryBlock;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Entry;
use EmberDusk\Kit\Fuse;
use EmberDusk\Kit\Powers;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Standing;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\Refusal;

/**
 * Wires runs again, all at the same time: supplies, the controllers on each, the runs on each of those, and every cable with its
 * length in metres. What wired them before goes; units, feeds and cables that are still right keep their ids.
 */
final readonly class WireRuns extends Change
{
    private const MOST = 200;

    /** @param  list<Fields>  $supplies */
    private function __construct(private array $supplies, private ShelfSource $shelf, private string $words) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $supplies = $f->objects('supplies');
        if ($supplies === [] || count($supplies) > self::MOST) {
            throw $f->invalid('supplies', '1 to ' . self::MOST . ' supplies were expected.');
        }

        return new self($supplies, $shelf, $f->stringOrNull('words', 200) ?? 'Runs rewired');
    }

    /** @param  list<SupplyWires>  $supplies */
    public static function payload(array $supplies, ?string $words = null): ChangePayload
    {
        return ChangePayload::given(
            'WireRuns',
            words: $words,
            supplies: array_map(static fn(SupplyWires $s): array => $s->write(), $supplies),
        );
    }

    protected function changed(Plan $plan): Plan
    {
        $runs = [];
        foreach ($this->supplies as $supply) {
            foreach ($supply->objects('blocks') as $block) {
                foreach ($block->objects('runs') as $of) {
                    $run = $plan->run($of->string('run'));
                    if (isset($runs[$run->id]) || $plan->of($run)->cutMarks() === null) {
                        throw $of->invalid(
                            'run',
                            isset($runs[$run->id])
                                ? "{$run->name()} is wired twice."
                                : "Choose a strip for {$run->name()} first.",
                        );
                    }
                    $runs[$run->id] = $run;
                }
            }
        }
        $layer = new CableLayer($plan, $runs);
        foreach ($this->supplies as $supply) {
            $this->supply($layer, $supply);
        }

        return $layer->laid();
    }

    public function words(Plan $plan): string
    {
        return $this->words;
    }

    private function supply(CableLayer $layer, Fields $supply): void
    {
        $blocks = $supply->objects('blocks');
        $id = $this->source($layer, $supply, self::runs($blocks));
        $boards = $supply->has('boards')
            ? $this->boards($layer, $supply->objects('boards'), $id, self::runs($blocks))
            : [];
        foreach ($blocks as $block) {
            $runs = self::runs([$block]);
            $controller = null;
            if ($block->stringOrNull('kit') !== null) {
                $controller = $layer->device(
                    'controllers',
                    $this->kit($layer, $block, 'kit', Controller::class),
                    self::where($block),
                    $runs,
                );
                $this->trunk($layer, $block->object('trunk'), $id, $controller);
            }
            foreach ($block->objects('runs') as $of) {
                $this->run($layer, $of, $id, $controller, $boards[$of->string('run')] ?? null);
            }
        }
    }

    /**
     * The supply of some runs: on the mains, a bank, or a converter with its cable from one.
     *
     * @param  list<string>  $runs
     */
    private function source(CableLayer $layer, Fields $supply, array $runs): string
    {
        $bank = null;
        if ($supply->has('bank')) {
            $of = $supply->object('bank');
            if (!isset($layer->plan->places[$of->string('place', 80)])) {
                throw $of->invalid('place', "The job has no place “{$of->string('place')}”.");
            }
            $bank = $layer->bank(
                unit: $of->stringOrNull('unit'),
                kit: $this->kit($layer, $of, 'kit', BatteryBlock::class),
                series: $of->whole('series', 1, 40),
                parallel: $of->whole('parallel', 1, 40),
                stands: new Standing($of->string('place', 80), $of->string('spot', 80)),
            );
            if (!$of->has('input')) {
                return $bank;
            }
        }
        $id = $layer->device(
            'supplies',
            $this->kit($layer, $supply, 'kit', Powers::class),
            self::where($supply),
            $runs,
        );
        if ($bank !== null) {
            $input = $supply->object('bank')->object('input');
            $layer->converted(
                id: $id,
                bank: $bank,
                kit: $this->kit($layer, $input, 'kit', Cable::class),
                length: $input->number('length', 0.01, 1000),
                fuse: $this->fuse($layer, $input),
            );
        }

        return $id;
    }

    /**
     * @param  list<Fields>  $boards
     * @param  list<string>  $fed  runs on the supply
     * @return array<string, string> id of the board by run
     */
    private function boards(CableLayer $layer, array $boards, string $supply, array $fed): array
    {
        $of = [];
        foreach ($boards as $board) {
            $runs = $board->strings('runs');
            if ($runs === [] || array_diff($runs, $fed) !== []) {
                throw $board->invalid('runs', 'Name runs of this supply, at least one.');
            }
            if ($board->has('unit')) {
                $id = $board->string('unit');
            } else {
                $kit = $this->kit($layer, $board, 'kit', Controller::class);
                $id = $layer->device('controllers', $kit, self::where($board), $runs);
                $this->trunk($layer, $board->object('wire'), $supply, $id);
            }
            if ($layer->pixels($id) === null) {
                throw $board->invalid($board->has('unit') ? 'unit' : 'kit', 'Choose a pixel board here.');
            }
            $of += array_fill_keys($runs, $id);
        }

        return $of;
    }

    /** Lays the cable from a supply to a controller or board. */
    private function trunk(CableLayer $layer, Fields $wire, string $supply, string $to): void
    {
        $layer->cable(
            kit: $this->kit($layer, $wire, 'kit', Cable::class),
            from: $supply,
            to: $to,
            length: $wire->number('length', 0.01, 1000),
            fuse: $this->fuse($layer, $wire),
        );
    }

    private function run(CableLayer $layer, Fields $of, string $supply, ?string $controller, ?string $board): void
    {
        $parts = $layer->equip(
            $of->string('run'),
            $supply,
            $controller ?? $board,
            $of->has('halves') && $of->flag('halves'),
        );
        $leg = $of->has('leg') ? $of->object('leg') : null;
        $from = $controller ?? $supply;
        if ($leg === null) {
            $tap = null;
        } else {
            $ends = $leg->strings('ends');
            $tap = new LegTap(
                $layer,
                new LegWire(
                    name: $leg->string('name', 40),
                    kit: $this->kit($layer, $leg, 'kit', Cable::class),
                    length: $leg->number('length', 0.01, 1000),
                    measured: $leg->flag('measured'),
                    laid: $leg->oneOf('laid', LaidCable::LAID),
                    with: $this->kit($layer, $leg, 'with', Cable::class),
                    lead: $leg->number('lead', 0.01, 1000),
                    fuse: $this->fuse($layer, $leg),
                    ends: [$ends[0] ?? '', $ends[1] ?? ''],
                ),
                $from,
            );
        }
        foreach ($of->objects('tails') as $n => $tail) {
            $part = $parts[min($n, count($parts) - 1)];
            $pad = $tail->whole('pad', 0, 400_000);
            $kit = $this->kit($layer, $tail, 'kit', Cable::class);
            $length = $tail->number('length', 0.01, 1000);
            $feed = $layer->feed($part, $pad);
            $layer->cable(
                kit: $kit,
                from: $tap?->next() ?? $from,
                to: $feed,
                length: $length,
                fuse: $this->fuse($layer, $tail),
            );
        }
    }

    private static function where(Fields $f): string
    {
        if ($f->stringOrNull('where') === null) {
            return '';
        }

        return $f->string('where', 80);
    }

    private function fuse(CableLayer $layer, Fields $f): ?string
    {
        if ($f->stringOrNull('fuse') === null) {
            return null;
        }

        return $this->kit($layer, $f, 'fuse', Fuse::class);
    }

    /**
     * The job's own frozen copy where it has one, else the shelf's.
     *
     * @param  class-string<Entry>  $kind
     *
     * @throws Refusal
     */
    private function kit(CableLayer $layer, Fields $f, string $key, string $kind): string
    {
        $kit =
            $layer->plan->kit[$f->string($key)] ??
            ($this->shelf->find($f->string($key)) ?? throw $f->invalid($key, "The shelf has no “{$f->string($key)}”."));
        if (!($kit->entry instanceof $kind)) {
            throw $f->invalid($key, "{$kit->entry->name()} does not belong here.");
        }

        return $layer->take($kit);
    }

    /**
     * @param  list<Fields>  $blocks
     * @return list<string>
     */
    private static function runs(array $blocks): array
    {
        $runs = [];
        foreach ($blocks as $block) {
            foreach ($block->objects('runs') as $of) {
                $runs[] = $of->string('run');
            }
        }

        return $runs;
    }
}
