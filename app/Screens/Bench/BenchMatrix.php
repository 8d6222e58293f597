<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Bench\Matrix\MatrixQuestion;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Plan\Changes\Runs\NoteMatrix;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\Site\PixelMatrix;
use EmberDusk\Values\ChangePayload;

/** The matrix of a run, with its order as far as it is known, and the next question. */
final readonly class BenchMatrix implements View
{
    use WrittenRecord;

    /**
     * @param  MatrixQuestion|null  $question  null once the order is known
     * @param  list<MatrixPath>  $lines  of the data, once the order is known
     * @param  ChangePayload  $again  forgets the order
     */
    public function __construct(
        public int $columns,
        public int $rows,
        public string $says,
        public ?MatrixQuestion $question,
        #[Field(of: MatrixPath::class)] public array $lines,
        public ChangePayload $again,
    ) {}

    public static function for(Plan $plan, Run $run): ?self
    {
        $matrix = $plan->of($run)->matrix();
        if ($matrix === null) {
            return null;
        }
        $lines = [];
        for ($n = 0; $matrix->known() && $n < $matrix->count(); $n++) {
            $lines[] = new MatrixPath(
                $matrix->cell($n * (int) $matrix->line() + 1),
                $matrix->cell(($n + 1) * (int) $matrix->line()),
            );
        }

        return new self(
            columns: $matrix->columns,
            rows: $matrix->rows,
            says: $matrix->words(),
            question: MatrixQuestion::next($run->id, $matrix),
            lines: $lines,
            again: NoteMatrix::payload($run->id, new PixelMatrix($matrix->columns, $matrix->rows)),
        );
    }
}
