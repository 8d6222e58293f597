<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Runs;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Changes\Places\ReviseNotes;
use EmberDusk\Plan\Plan;
use EmberDusk\Survey\Site\MatrixCorner;
use EmberDusk\Survey\Site\MatrixLines;
use EmberDusk\Survey\Site\PixelMatrix;
use EmberDusk\Survey\WallText;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Notes that the pixels of a run are a matrix, with its order as far as it is known; it is written into the notes of the run's place. */
final readonly class NoteMatrix extends Change
{
    private function __construct(private string $run, private ?PixelMatrix $matrix) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $columns = $f->whole('columns', 0, PixelMatrix::MOST);
        $rows = $f->whole('rows', 0, PixelMatrix::MOST);
        if (($columns === 0) !== ($rows === 0)) {
            throw $f->invalid(
                $columns === 0 ? 'columns' : 'rows',
                'Enter the pixels across and down, or 0 in both for no matrix.',
            );
        }

        return new self(
            $f->string('run', 40),
            $columns === 0
                ? null
                : new PixelMatrix(
                    columns: $columns,
                    rows: $rows,
                    first: MatrixCorner::tryFrom($f->stringOrNull('first') ?? ''),
                    lines: MatrixLines::tryFrom($f->stringOrNull('lines') ?? ''),
                    serpentine: $f->flagOrNull('serpentine'),
                ),
        );
    }

    public static function payload(string $run, ?PixelMatrix $matrix): ChangePayload
    {
        return ChangePayload::named(
            'NoteMatrix',
            run: $run,
            columns: $matrix->columns ?? 0,
            rows: $matrix->rows ?? 0,
            first: $matrix?->first?->value,
            lines: $matrix?->lines?->value,
            serpentine: $matrix?->serpentine,
        );
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        if ($this->matrix !== null && $run->parts > 1) {
            throw InvalidInput::at(
                '/run',
                "{$run->name()} is split into {$run->parts} parts: rejoin it first, then enter the matrix.",
            );
        }
        $place = $plan->place($run->place);

        return ReviseNotes::for($place->id, (new WallText($place->notes))->matrix($run->word, $this->matrix))->changed(
            $plan,
        );
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->name() .
            ($this->matrix === null ? ': no matrix' : ": matrix, {$this->matrix->words()}");
    }
}
