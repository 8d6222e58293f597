<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\Matrix\MatrixAnswer;
use EmberDusk\Bench\Matrix\MatrixQuestion;
use EmberDusk\Bench\Tests\Tests;
use EmberDusk\Plan\BoardSettings;
use EmberDusk\Plan\Plan;
use EmberDusk\Survey\Site\MatrixCorner;
use EmberDusk\Survey\Site\MatrixLines;
use EmberDusk\Survey\Site\PixelMatrix;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Matrices of pixels: their notes, their sixteen orders, and the looks that tell them apart. */
final class MatrixTest extends TestCase
{
    /**
     * Numbers of the pixels as written on a wall of 3 x 2, row by row from the top left: drawn by hand.
     *
     * @return iterable<string, array{MatrixCorner, MatrixLines, bool, list<int>}>
     */
    public static function drawn(): iterable
    {
        [$rows, $columns] = [MatrixLines::Rows, MatrixLines::Columns];
        yield 'as text' => [MatrixCorner::TopLeft, $rows, false, [1, 2, 3, 4, 5, 6]];
        yield 'as an ox ploughs' => [MatrixCorner::TopLeft, $rows, true, [1, 2, 3, 6, 5, 4]];
        yield 'from the bottom right' => [MatrixCorner::BottomRight, $rows, false, [6, 5, 4, 3, 2, 1]];
        yield 'up the left edge' => [MatrixCorner::BottomLeft, $columns, false, [2, 4, 6, 1, 3, 5]];
        yield 'down, then up' => [MatrixCorner::TopLeft, $columns, true, [1, 4, 5, 2, 3, 6]];
        yield 'down the right edge' => [MatrixCorner::TopRight, $columns, true, [5, 4, 1, 6, 3, 2]];
        yield 'rows from the top right' => [MatrixCorner::TopRight, $rows, true, [3, 2, 1, 4, 5, 6]];
        yield 'rows from the bottom left' => [MatrixCorner::BottomLeft, $rows, true, [6, 5, 4, 1, 2, 3]];
    }

    /** @param  list<int>  $wall */
    #[DataProvider('drawn')]
    public function test_every_pixel_has_its_place(
        MatrixCorner $first,
        MatrixLines $lines,
        bool $turns,
        array $wall,
    ): void {
        $matrix = new PixelMatrix(3, 2, $first, $lines, $turns);
        $seen = [];
        for ($pixel = 1; $pixel <= 6; $pixel++) {
            $seen[3 * $matrix->cell($pixel)->row + $matrix->cell($pixel)->column] = $pixel;
        }
        ksort($seen);
        self::assertSame($wall, $seen);
    }

    /** A person who sees only where the lit pixel is finds every order: in three looks, in two if the turning is known. */
    public function test_the_fewest_looks_tell_all_orders_apart(): void
    {
        foreach ([[14, 9], [2, 2], [9, 14], [1, 5], [5, 1], [1, 1]] as [$columns, $rows]) {
            $most = 0;
            foreach (MatrixCorner::cases() as $first) {
                foreach (MatrixLines::cases() as $lines) {
                    foreach ([false, true] as $turns) {
                        $true = new PixelMatrix($columns, $rows, $first, $lines, $turns);
                        [$found, $looks] = self::look(new PixelMatrix($columns, $rows), $true);
                        $most = max($most, $looks);
                        self::assertSame(self::wall($true), self::wall($found), $true->words());
                        [$found, $looks] = self::look(new PixelMatrix($columns, $rows, serpentine: $turns), $true);
                        self::assertLessThanOrEqual(2, $looks);
                        self::assertSame(self::wall($true), self::wall($found), $true->words());
                    }
                }
            }
            // Four places for the first pixel, two for the next, two for the third: 4 x 2 x 2 orders.
            self::assertSame(min($columns, $rows) > 1 ? 3 : 1, $most, "{$columns} x {$rows}");
        }
    }

    /** @return array{PixelMatrix, int} the order found, and the number of looks */
    private static function look(PixelMatrix $known, PixelMatrix $true): array
    {
        for ($looks = 0; ($question = MatrixQuestion::next('wall', $known)) !== null; $looks++) {
            $fits = array_values(
                array_filter(
                    $question->answers,
                    static fn(MatrixAnswer $a): bool => $a->lit == [$true->cell($question->pixel)],
                ),
            );
            self::assertCount(1, $fits, "{$true->words()}: pixel {$question->pixel}");
            $note = $fits[0]->note->write();
            $known = new PixelMatrix(
                $known->columns,
                $known->rows,
                MatrixCorner::tryFrom((string) $note['first']),
                MatrixLines::tryFrom((string) $note['lines']),
                $note['serpentine'],
            );
        }

        return [$known, $looks];
    }

    /** @return list<string> the place of each pixel */
    private static function wall(PixelMatrix $matrix): array
    {
        return array_map(
            static fn(int $p): string => "{$matrix->cell($p)->column} {$matrix->cell($p)->row}",
            range(1, $matrix->pixels()),
        );
    }

    public function test_an_order_that_is_not_known_has_no_places(): void
    {
        $this->expectException(IncompletePlan::class);
        (new PixelMatrix(3, 2, MatrixCorner::TopLeft))->cell(1);
    }

    #[DataProvider('faulty')]
    public function test_a_faulty_matrix_is_refused_at_its_word(string $line, string $word, string $says): void
    {
        $slip = WallNotes::read("start\n2 wall\n{$line}")->slips[0] ?? self::fail('it was read');
        self::assertStringContainsString($says, $slip->message);
        self::assertSame($word, mb_substr($line, $slip->column, $slip->length));
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function faulty(): iterable
    {
        yield 'no size' => ['run wall, matrix big', 'big', 'such as 14x9'];
        yield 'a side of nothing' => ['run wall, matrix 0x9', '0x9', '1 to 500'];
        yield 'a side too long' => ['run wall, matrix 501x2', '501x2', '1 to 500'];
        yield 'an order without a size' => ['run wall, serpentine', 'serpentine', 'its size before its order'];
        yield 'no such corner' => ['run wall, matrix 3x2, top middle', 'middle', 'left or right'];
    }

    /** Answers at Bench are added to the run's line in the notes, and the rest of the line is kept. */
    public function test_answers_are_written_into_the_notes(): void
    {
        $plan = BenchJob::plan();
        $plan = Demo::with($plan, ['kind' => 'NoteRun', 'run' => 'star', 'word' => 'bare', 'on' => true]);
        $plan = self::noted($plan, 12, 8);
        $plan = Demo::with(
            $plan,
            (
                MatrixQuestion::next('star', $plan->of($plan->run('star'))->matrix() ?? self::fail()) ?? self::fail()
            )->answers[3]->note->write(),
        );
        self::assertStringContainsString("\nrun star, bare, matrix 12x8, bottom right", $plan->places['hall']->notes);
        $plan = Demo::with($plan, ['kind' => 'NoteRun', 'run' => 'star', 'word' => 'mood', 'on' => true]);
        self::assertStringContainsString(
            'run star, bare, accent light, matrix 12x8, bottom right',
            $plan->places['hall']->notes,
        );
        $plan = self::noted($plan, 12, 8, 'top left', 'columns', true);
        self::assertSame(
            '12 across, 8 down, first pixel top left, in columns, serpentine',
            $plan->of($plan->run('star'))->matrix()?->words(),
        );
        self::assertContains(
            'order of the matrix',
            array_map(
                static fn($t): string => (string) preg_replace('/^.*?: /', '', $t->title),
                Tests::ofRun($plan, $plan->run('star')),
            ),
        );
        $plan = self::noted($plan, 0, 0);
        self::assertNull($plan->of($plan->run('star'))->matrix());
        self::assertStringContainsString("\nrun star, bare, accent light", $plan->places['hall']->notes);
    }

    /** The order is listed with the other settings of the board. */
    public function test_the_order_is_a_setting_of_the_board(): void
    {
        $plan = Demo::with(BenchJob::plan(), ['kind' => 'ChooseKit', 'run' => 'star', 'kit' => 'board-screw']);
        $run = self::noted($plan, 12, 8, 'top right', 'rows', false)->run('star');
        $settings = BoardSettings::ofRun(self::noted($plan, 12, 8, 'top right', 'rows', false), $run);
        self::assertContains(
            'Matrix of Star: 12 across, 8 down, first pixel top right, in rows, every line in the same direction',
            array_map(static fn($s): string => $s->words(), $settings),
        );
        self::assertStringNotContainsString(
            'Matrix',
            implode(' ', array_map(static fn($s): string => $s->what, BoardSettings::ofRun($plan, $plan->run('star')))),
        );
    }

    public function test_one_side_alone_is_refused(): void
    {
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('Enter the pixels across and down');
        self::noted(BenchJob::plan(), 12, 0);
    }

    public static function noted(
        Plan $plan,
        int $columns,
        int $rows,
        ?string $first = null,
        ?string $lines = null,
        ?bool $serpentine = null,
    ): Plan {
        return Demo::with($plan, [
            'kind' => 'NoteMatrix',
            'run' => 'star',
            'columns' => $columns,
            'rows' => $rows,
            'first' => $first,
            'lines' => $lines,
            'serpentine' => $serpentine,
        ]);
    }
}
