<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\DataLine;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Arranges the data lines of a pixel board: the runs of each output in the order of the data. */
final readonly class ArrangeData extends Change
{
    /** @param  list<DataLine>  $lines  their ids are their numbers, from 0 */
    private function __construct(private string $board, private array $lines) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $board = $f->string('board', 40);
        $lines = [];
        foreach ($f->objects('lines') as $n => $line) {
            $mirrors = $line->wholeOrNull('mirrors', 0, 255);
            $lines[] = new DataLine(
                (string) $n,
                $board,
                $line->strings('runs'),
                $line->stringsOr('reversed', []),
                $mirrors === null ? null : (string) $mirrors,
            );
        }

        return new self($board, $lines);
    }

    /** @param  list<DataLine>  $lines  each may mirror one before it, by its id */
    public static function payload(string $board, array $lines): ChangePayload
    {
        $numbers = array_flip(array_map(static fn(DataLine $l): string => $l->id, $lines));

        return ChangePayload::named(
            'ArrangeData',
            board: $board,
            lines: array_map(
                static fn(DataLine $l): array => [
                    'runs' => $l->runs,
                    'reversed' => $l->reversed,
                    'mirrors' => $l->mirrors === null ? null : $numbers[$l->mirrors],
                ],
                $lines,
            ),
        );
    }

    protected function changed(Plan $plan): Plan
    {
        if ($plan->controller($this->board)?->pixels === null) {
            throw InvalidInput::unknown('/board', 'pixel board', $this->board);
        }
        $this->check($plan);
        $lines = array_filter($plan->lines, fn(DataLine $l): bool => $l->board !== $this->board);
        $ids = [];
        foreach ($this->lines as $line) {
            $id = $ids[$line->id] = Plan::nextId('d', $lines);
            $lines[$id] = new DataLine(
                $id,
                $this->board,
                $line->runs,
                $line->reversed,
                $ids[$line->mirrors ?? ''] ?? null,
            );
        }

        return $plan->with(lines: $lines);
    }

    private function check(Plan $plan): void
    {
        $seen = [];
        foreach ($this->lines as $n => $line) {
            foreach ($line->runs as $k => $id) {
                if ($plan->run($id)->controller !== $this->board || isset($seen[$id])) {
                    throw InvalidInput::at(
                        "/lines/{$n}/runs/{$k}",
                        isset($seen[$id])
                            ? "“{$id}” is on two data lines: name it once."
                            : "“{$id}” is not on “{$this->board}”: choose this board for it at Kit first.",
                    );
                }
                $seen[$id] = true;
                $before = in_array($id, DataLine::to($plan, $plan->run($id))->reversed ?? [], true);
                if ($plan->of($plan->run($id))->directed() && in_array($id, $line->reversed, true) !== $before) {
                    throw InvalidInput::at(
                        "/lines/{$n}/reversed",
                        "{$plan->run($id)->name()} must not turn: its direction is fixed. Allow it at Survey first.",
                    );
                }
            }
            $mirrored = $this->lines[(int) $line->mirrors] ?? null;
            if (
                $line->runs === [] ||
                array_diff($line->reversed, $line->runs) !== [] ||
                ($line->mirrors !== null && ($mirrored?->mirrors !== null || (int) $line->mirrors >= $n))
            ) {
                throw InvalidInput::at(
                    "/lines/{$n}",
                    'A data line names its runs, reverses only those, and mirrors only a line before it that mirrors none.',
                );
            }
        }
    }

    public function words(Plan $plan): string
    {
        return 'Data of ' .
            strtoupper($this->board) .
            ': ' .
            implode(
                '; ',
                array_map(
                    static fn(DataLine $line): string => implode(
                        ', ',
                        array_map(
                            static fn(string $id): string => ($plan->runs[$id] ?? null)?->name() ?? $id,
                            $line->runs,
                        ),
                    ),
                    $this->lines,
                ),
            );
    }
}
