<?php

declare(strict_types=1);

namespace EmberDusk\Advice;

use EmberDusk\Parts\Mark;
use EmberDusk\Parts\Part;
use EmberDusk\Parts\PartsList;
use EmberDusk\Parts\StockCut;
use EmberDusk\Plan\Run;
use EmberDusk\Workings\Figure;
use EmberDusk\Workings\Finding;
use EmberDusk\Workings\Input;
use EmberDusk\Workings\Place;
use EmberDusk\Workings\Severity;

/** Reels and stock lengths with the cuts in them; the list beside, each line with what it is for and how far it is. */
final readonly class PartsDesk
{
    /** @return array<string, mixed> as in core/schema/responses.json, $defs/partsPicture */
    public static function picture(Work $work): array
    {
        $list = PartsList::of($work->plan, $work->shelf);

        return [
            'cuts' => array_map(static fn (StockCut $c): array => ['kit' => $c->kit, 'name' => $c->name, 'stock' => $c->stock, 'bought' => $c->cuts->bought, 'joints' => $c->joints, 'left' => $c->cuts->waste(),
                'proven' => $c->cuts->proven, 'tooLong' => $c->tooLong, 'bars' => $c->bars()], $list->cuts),
            'parts' => array_map(static fn (Part $p): array => self::row($work, $p), $list->parts),
            'bare' => array_map(static fn (Run $r): string => $r->name(), $list->bare),
            'currency' => $work->plan->terms->currency,
            'states' => array_map(static fn (string $id, string $name): array => ['id' => $id, 'name' => $name, 'label' => ''], array_keys(Mark::STATES), array_values(Mark::STATES)),
        ];
    }

    /** @return list<Figure> */
    public static function ledger(Work $work): array
    {
        $list = PartsList::of($work->plan, $work->shelf);
        if ($list->parts === []) {
            return [];
        }
        $inputs = [];
        foreach ($list->parts as $n => $part) {
            $inputs[] = new Input('p'.($n + 1), $part->name.($part->cost() === null ? ' (no price on the shelf)' : sprintf(', %g', max(0.0, $part->buy - $part->owned))), $part->cost() ?? 0.0, $work->plan->terms->currency);
        }
        $missing = count(array_filter($list->parts, static fn (Part $p): bool => self::mark($work, $p)->missing()));
        $packed = count(array_filter($list->parts, static fn (Part $p): bool => self::mark($work, $p)->state === 'packed'));

        return [
            new Figure('Parts', array_sum(array_map(static fn (Input $i): float => $i->value, $inputs)), $work->plan->terms->currency, 2, implode(' + ', array_map(static fn (Input $i): string => $i->symbol, $inputs)), $inputs, 'What the client owns counts nothing; whole reels, lengths and bags.', 'prices of the shelf'),
            new Figure('Missing', (float) $missing, 'lines', 0, 'm', [new Input('m', 'lines to buy or on the way', (float) $missing, '')], 'As marked here.'),
            new Figure('Packed', (float) $packed, 'lines', 0, 'k', [new Input('k', 'lines marked as packed', (float) $packed, '')], 'As marked here.'),
            ...array_map(static fn (StockCut $c): Figure => new Figure("Left of {$c->name}", $c->cuts->waste() / 1000, 'm', 2, 'n * L - P', [
                new Input('n', 'lengths', (float) count($c->cuts->lengths), ''), new Input('L', 'metres of one', $c->stock / 1000, 'm'), new Input('P', 'metres cut from them', array_sum(array_column($c->pieces, 0)) / 1000, 'm'),
            ], $c->cuts->proven ? 'No fewer lengths would do.' : 'Fewer lengths may do: not every way was looked at.'), array_slice($list->cuts, 0, self::LEFT)),
        ];
    }

    /** Materials whose rest is told in the ledger. */
    private const LEFT = 3;

    /** @return list<Finding> of what should be here; nothing is reckoned for it, as every stage asks */
    public static function findings(Work $work): array
    {
        $findings = [];
        foreach ($work->marks as $key => $mark) {
            $name = ($work->plan->kit[$key] ?? $work->shelf->find($key))?->entry->name();
            if ($name !== null && $mark->late($work->today)) {
                $findings[] = new Finding('part-late', Severity::Watch, "{$name} should be here", "It was ordered for {$mark->arrives}. Ask where it is, then set another day or mark it as in hand.", new Place('parts', $key));
            }
        }

        return $findings;
    }

    /**
     * The list for a spreadsheet.
     *
     * @return list<list<string>>
     */
    public static function rows(Work $work): array
    {
        $rows = [['group', 'part', 'wanted', 'unit', 'spare', 'buy', 'cost', 'currency', 'state', 'arrives', 'why']];
        foreach (PartsList::of($work->plan, $work->shelf)->parts as $part) {
            $mark = self::mark($work, $part);
            $rows[] = [$part->group, $part->name, sprintf('%g', round($part->count, 2)), $part->unit, (string) $part->spare, sprintf('%g', $part->buy), $part->cost() === null ? '' : sprintf('%.2f', $part->cost()), $work->plan->terms->currency,
                Mark::STATES[$mark->state] ?? '', $mark->arrives ?? '', implode('; ', $part->why)];
        }

        return $rows;
    }

    private static function mark(Work $work, Part $part): Mark
    {
        return $work->marks[$part->key] ?? new Mark;
    }

    /** @return array<string, mixed> */
    private static function row(Work $work, Part $part): array
    {
        $mark = self::mark($work, $part);

        return ['key' => $part->key, 'group' => $part->group, 'name' => $part->name, 'count' => sprintf('%g', round($part->count, 2)), 'unit' => $part->unit, 'spare' => $part->spare, 'buy' => sprintf('%g', $part->buy),
            'why' => $part->why, 'cost' => $part->cost() === null ? '' : sprintf('%.2f', $part->cost()), 'state' => $mark->state, 'arrives' => $mark->arrives ?? '', 'late' => $mark->late($work->today)];
    }
}
