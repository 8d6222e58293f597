<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\Build\BuildScreen;
use App\Screens\Desk\Named;
use App\Screens\Wire\CableOption;
use EmberDusk\Job\JobState;
use EmberDusk\Parts\Bar;
use EmberDusk\Parts\Mark;
use EmberDusk\Parts\Offcut;
use EmberDusk\Parts\Part;
use EmberDusk\Parts\Piece;
use EmberDusk\Parts\Shortening;
use EmberDusk\Parts\StockCut;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/** Reels and stock lengths with the cuts in them; beside them the list, each line with its purpose and state. */
final readonly class PartsScreen
{
    /** Materials with waste figures in the ledger. */
    private const LEFT = 3;

    public static function picture(JobState $state): PartsPicture
    {
        $list = $state->schedule()->parts;

        return new PartsPicture(
            cuts: array_map(static fn(StockCut $c): StockCutView => self::cut($state, $c), $list->cuts),
            parts: PartRows::for($state),
            makings: AssemblyRows::for($state),
            offcuts: array_map(
                static fn(Offcut $o): OffcutView => new OffcutView(
                    id: $o->id,
                    kit: $o->kit,
                    name: BuildScreen::kit($state, $o->kit),
                    metres: sprintf('%.2f', $o->metres),
                    packed: $o->packed,
                ),
                $state->offcuts,
            ),
            lacking: $list->lacking,
            bare: array_map(static fn(Run $r): Named => new Named($r->id, $r->name()), $list->bare),
            currency: $state->plan->terms->currency,
            states: array_map(
                static fn(string $id, string $name): CableOption => new CableOption($id, $name, ''),
                array_keys(Mark::STATES),
                array_values(Mark::STATES),
            ),
        );
    }

    /** @return list<Figure> */
    public static function ledger(JobState $state): array
    {
        $schedule = $state->schedule();
        $list = $schedule->parts;
        if ($list->parts === []) {
            return [];
        }
        $inputs = [];
        foreach ($list->parts as $n => $part) {
            $inputs[] = new Input(
                'p' . ($n + 1),
                $part->name .
                    match (true) {
                        $part->cost() !== null => sprintf(', %g', $part->paid()),
                        $part->foreign === '' => ' (no price on the shelf)',
                        default => " (priced in {$part->foreign}, no rate)",
                    },
                $part->cost() ?? 0.0,
                $state->plan->terms->currency,
                path: "parts.{$part->key}.cost()",
            );
        }
        $count = static fn(callable $of): float => (float) count(array_filter($list->parts, $of));
        $missing = $count(static fn(Part $p): bool => $schedule->mark($p)->missing() && $p->paid() > 0);
        $packed = $count(static fn(Part $p): bool => $schedule->mark($p)->state === 'packed');

        return [
            new Figure(
                label: 'Parts',
                value: array_sum(array_map(static fn(Input $i): float => $i->value, $inputs)),
                unit: $state->plan->terms->currency,
                decimals: 2,
                formula: Input::sum($inputs),
                inputs: $inputs,
                assumption: 'The client’s own kit costs nothing; whole reels, lengths and bags.',
                source: 'prices of the shelf',
            ),
            new Figure(
                label: 'Missing',
                value: $missing,
                unit: 'lines',
                decimals: 0,
                formula: 'm',
                inputs: [new Input('m', 'lines to buy or on the way', $missing, '', path: 'marks: to buy, ordered')],
                assumption: 'As marked here.',
            ),
            new Figure(
                label: 'Packed',
                value: $packed,
                unit: sprintf('of %d', count($list->parts)),
                decimals: 0,
                formula: 'k',
                inputs: [new Input('k', 'lines marked as packed', $packed, '', path: 'marks: packed')],
                assumption: 'As marked here.',
            ),
            ...array_map(
                static fn(StockCut $c): Figure => new Figure(
                    label: "Offcuts of {$c->name}",
                    value: $state->plan->terms->inUnit($c->left() / 1000),
                    unit: $state->plan->terms->unit(),
                    decimals: 2,
                    formula: 'L - P',
                    inputs: [
                        new Input(
                            'L',
                            count($c->bars) . ' lengths, offcuts among them',
                            $state->plan->terms->inUnit(
                                array_sum(array_map(static fn(Bar $b): int => $b->length, $c->bars)) / 1000,
                            ),
                            $state->plan->terms->unit(),
                            path: "parts: the cut list of {$c->kit}",
                        ),
                        new Input(
                            'P',
                            'cut from them',
                            $state->plan->terms->inUnit(
                                array_sum(array_map(static fn(Bar $b): int => $b->length - $b->left, $c->bars)) / 1000,
                            ),
                            $state->plan->terms->unit(),
                            path: "parts: the cut list of {$c->kit}",
                        ),
                    ],
                    assumption: $c->proven
                        ? 'Fewest lengths possible, with the fewest joints.'
                        : 'Possibly not the fewest lengths or joints: not every way was tried.',
                ),
                array_slice($list->cuts, 0, self::LEFT),
            ),
        ];
    }

    /** Saving from a small change of a length. */
    private static function shorter(JobState $state, StockCut $cut): string
    {
        $list = $state->schedule()->parts;
        $part = $list->part($cut->kit);
        $found = Shortening::for($list->lengths, $cut, $part, $state->basis()->offcuts[$cut->kit] ?? []);
        if ($found === null) {
            return '';
        }
        $one = $part->group === 'Strip' ? 'reel' : 'length';

        return sprintf(
            'Shorten %s by %s and %s saved: %.2f of %.2f %s.',
            $found->piece->what,
            $state->plan->terms->say($found->metres),
            $found->lengths === 1 ? "a {$one} is" : "{$found->lengths} {$one}s are",
            $found->saves,
            $part->cost() ?? 0.0,
            $state->plan->terms->currency,
        );
    }

    /** Number to buy: the length to cut, minus offcuts, over one length, plus the loss from full lengths and pieces. */
    private static function bought(JobState $state, StockCut $cut): Figure
    {
        $terms = $state->plan->terms;
        $offcuts = array_sum(array_map(static fn(Bar $b): int => $b->offcut ? $b->length - $b->left : 0, $cut->bars));
        $all = array_sum(array_map(static fn(Bar $b): int => $b->length - $b->left, $cut->bars));
        $exact = ($all - $offcuts) / max(1, $cut->stock);

        $assumption = 'Best found; not every way was tried.';
        if ($cut->proven) {
            $assumption = 'Fewest possible: proven by a bound, or by trying every way to cut them.';
        }

        return new Figure(
            label: 'Bought',
            value: (float) $cut->bought,
            unit: '',
            decimals: 0,
            formula: '(P - O) / L + r',
            inputs: [
                new Input(
                    'P',
                    'to be cut, saw kerf included',
                    $terms->inUnit($all / 1000),
                    $terms->unit(),
                    path: "parts: the cut list of {$cut->kit}",
                ),
                new Input(
                    'O',
                    'of it from offcuts',
                    $terms->inUnit($offcuts / 1000),
                    $terms->unit(),
                    path: "parts: the cut list of {$cut->kit}",
                ),
                new Input(
                    'L',
                    'one that is bought',
                    $terms->inUnit($cut->stock / 1000),
                    $terms->unit(),
                    path: "parts: the cut list of {$cut->kit}",
                ),
                new Input(
                    'r',
                    'more, for whole lengths and offcuts',
                    $cut->bought - $exact,
                    '',
                    path: 'parts: whole lengths',
                ),
            ],
            assumption: $assumption,
            source: 'one-dimensional cutting stock',
        );
    }

    private static function cut(JobState $state, StockCut $cut): StockCutView
    {
        $say = static fn(int $mm): string => $state->plan->terms->say($mm / 1000);

        return new StockCutView(
            kit: $cut->kit,
            name: $cut->name,
            stock: $cut->stock,
            said: $say($cut->stock),
            bought: self::bought($state, $cut),
            joints: $cut->joints,
            left: $cut->left(),
            leftSaid: $say($cut->left()),
            proven: $cut->proven,
            keeps: $cut->kept() !== [],
            field: $state->plan->strip($cut->kit) === null ? 'length' : 'strip',
            shorter: self::shorter($state, $cut),
            tooLong: array_map(
                static fn(Piece $p): TooLong => new TooLong(
                    run: $p->run,
                    what: $p->what,
                    said: $say((int) round($p->mm)),
                ),
                $cut->tooLong,
            ),
            bars: array_map(
                static fn(Bar $b): StockBar => new StockBar(
                    length: $b->length,
                    left: $b->left,
                    leftSaid: $say($b->left),
                    offcut: $b->offcut,
                    pieces: array_map(
                        static fn(array $p): StockPiece => new StockPiece(
                            mm: $p[0],
                            said: $say($p[0]),
                            what: $p[1]->what,
                        ),
                        $b->pieces,
                    ),
                ),
                $cut->bars,
            ),
        );
    }
}
