<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Matrix;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Plan\Changes\Runs\NoteMatrix;
use EmberDusk\Survey\Site\MatrixCorner;
use EmberDusk\Survey\Site\MatrixLines;
use EmberDusk\Survey\Site\PixelMatrix;
use EmberDusk\Values\JsonWritable;

/**
 * The next look that tells the order of a matrix: the first pixel shows its corner, the second the way of the lines, the first
 * of the second line whether every second line goes backwards. Three looks at one pixel each tell sixteen orders, two tell the eight
 * of a wiring that is known to be serpentine or straight; one look cannot, as it has four answers at most.
 */
final readonly class MatrixQuestion implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  int  $pixel  that is lit, from 1
     * @param  list<MatrixAnswer>  $answers
     */
    public function __construct(
        public int $pixel,
        public string $asks,
        #[Field(of: MatrixAnswer::class)] public array $answers,
    ) {}

    /** Null when the order is known. */
    public static function next(string $run, PixelMatrix $matrix): ?self
    {
        if ($matrix->known()) {
            return null;
        }
        $looks = self::looks($matrix);
        $pixel = match (true) {
            $matrix->first === null => 1,
            $matrix->lines === null => 2,
            default => (int) $matrix->line() + 1,
        };
        $answers = [];
        foreach ($looks as $words => $seen) {
            $answers[] = new MatrixAnswer(
                $words,
                [self::complete($seen)->cell($pixel)],
                NoteMatrix::payload($run, $seen),
            );
        }

        return new self(
            $pixel,
            $pixel === 1
                ? 'Light pixel 1 alone, seen from the front. Where is it?'
                : "Light pixel {$pixel} alone. Where is it?",
            $answers,
        );
    }

    /** @return array<string, PixelMatrix> the matrix as known after each answer, by the words of the answer */
    private static function looks(PixelMatrix $matrix): array
    {
        $looks = [];
        if ($matrix->first === null) {
            foreach (MatrixCorner::cases() as $corner) {
                // In a single row top and bottom are the same, in a single column left and right.
                if (($matrix->rows > 1 || $corner->top()) && ($matrix->columns > 1 || $corner->left())) {
                    $looks[ucfirst($corner->value)] = self::single($matrix->from($corner));
                }
            }

            return $looks;
        }
        if ($matrix->lines === null) {
            $side = $matrix->first->left() ? 'right' : 'left';
            $way = $matrix->first->top() ? 'below' : 'above';

            return [
                "To the {$side} of pixel 1" => self::single($matrix->along(MatrixLines::Rows)),
                ucfirst($way) . ' pixel 1' => self::single($matrix->along(MatrixLines::Columns)),
            ];
        }

        return [
            "Beside pixel {$matrix->line()}: serpentine" => $matrix->turning(true),
            'Beside pixel 1: every line starts at the same side' => $matrix->turning(false),
        ];
    }

    /** With the way of the lines where there is only one. */
    private static function single(PixelMatrix $matrix): PixelMatrix
    {
        return match (true) {
            $matrix->rows === 1 => $matrix->along(MatrixLines::Rows),
            $matrix->columns === 1 => $matrix->along(MatrixLines::Columns),
            default => $matrix,
        };
    }

    /** Fills in unknown properties: they do not affect the position of the lit pixel. */
    private static function complete(PixelMatrix $matrix): PixelMatrix
    {
        $matrix = $matrix->lines === null ? $matrix->along(MatrixLines::Rows) : $matrix;

        return $matrix->serpentine === null ? $matrix->turning(false) : $matrix;
    }
}
