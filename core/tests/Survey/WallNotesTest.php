<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Survey;

use EmberDusk\Survey\Length;
use EmberDusk\Survey\Point;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Survey\WallText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WallNotesTest extends TestCase
{
    private const EXAMPLE = 'start door; 5.20 cove; right 3.80 cove; right 5,20 cove, gap 0.90 at 1.30 window; right 3.80 cove; close';

    /** The worked example of the notation: corners and 17.10 m of cove. */
    public function test_the_example_has_its_corners_and_length(): void
    {
        $sheet = WallNotes::read(self::EXAMPLE);
        self::assertSame([], $sheet->slips);
        self::assertSame('door', $sheet->start);
        self::assertTrue($sheet->closed);
        $corners = array_map(
            static fn(Point $p): array => [round($p->x, 9) + 0.0, round($p->y, 9) + 0.0],
            $sheet->corners,
        );
        self::assertEquals([[0, 0], [0, 5.2], [3.8, 5.2], [3.8, 0], [0, 0]], $corners);
        self::assertEqualsWithDelta(17.1, $sheet->runs['cove']->length(), 1e-9);
        self::assertCount(2, $sheet->runs['cove']->sections);
        self::assertEqualsWithDelta([0.9], $sheet->runs['cove']->jumps, 1e-9);
        self::assertEqualsWithDelta(0.0, $sheet->runs['cove']->endsApart(), 1e-9);
        // The window is in the third leg, which comes down the right-hand wall from y = 5.20.
        self::assertSame('window', $sheet->openings[0]->what);
        self::assertEqualsWithDelta(3.9, $sheet->openings[0]->from->y, 1e-9);
        self::assertEqualsWithDelta(3.0, $sheet->openings[0]->to->y, 1e-9);
    }

    public function test_lines_and_semicolons_read_alike_and_remarks_are_left_out(): void
    {
        $lines = WallNotes::read("start door # by the porch\r\n5.20 cove\n\nright 3.80 cove");
        $clauses = WallNotes::read('start door; 5.20 cove; right 3.80 cove');
        self::assertEquals($clauses->corners, $lines->corners);
        self::assertEquals($clauses->runs, $lines->runs);
    }

    public function test_a_turn_takes_degrees_either_way(): void
    {
        $sheet = WallNotes::read("2\nright 45 2\nleft 45 2");
        self::assertEqualsWithDelta(sqrt(2), $sheet->corners[2]->x, 1e-9);
        self::assertEqualsWithDelta(2 + sqrt(2), $sheet->corners[2]->y, 1e-9);
        self::assertEqualsWithDelta(4 + sqrt(2), $sheet->corners[3]->y, 1e-9);
    }

    /** @return iterable<string, array{string, float}> */
    public static function lengths(): iterable
    {
        // 1 in is 25.4 mm exactly (international yard and pound agreement, 1959).
        yield 'metres' => ['3.80', 3.8];
        yield 'metres, comma and unit' => ['3,80 m', 3.8];
        yield 'joined unit' => ['3.80m', 3.8];
        yield 'centimetres' => ['380 cm', 3.8];
        yield 'millimetres' => ['3800 mm', 3.8];
        yield 'feet, inches and a fraction' => ['3 ft 4 1/2 in', 40.5 * 0.0254];
        yield 'joined' => ['3ft 4in', 40 * 0.0254];
        yield 'inches' => ['40 1/2 in', 40.5 * 0.0254];
        yield 'feet alone' => ['12 ft', 12 * 0.3048];
        yield 'decimal feet' => ['12.5 ft', 12.5 * 0.3048];
        yield 'signs' => ['3\' 4"', 40 * 0.0254];
    }

    #[DataProvider('lengths')]
    public function test_lengths_are_read_as_hands_write_them(string $text, float $metres): void
    {
        $sheet = WallNotes::read("start\n{$text} cove\nright 45 {$text} cove");
        self::assertSame([], $sheet->slips);
        self::assertEqualsWithDelta(2 * $metres, $sheet->runs['cove']->length(), 1e-9);
        self::assertEqualsWithDelta($metres * M_SQRT1_2, $sheet->corners[2]->x, 1e-9);
    }

    public function test_lengths_are_written_to_the_sixteenth_of_an_inch(): void
    {
        self::assertSame('3 ft 4 1/2 in', Length::write(40.5 * 0.0254, Length::IMPERIAL));
        self::assertSame('12 ft', Length::write(3.6576, Length::IMPERIAL));
        self::assertSame('5/8 in', Length::write(0.0159, Length::IMPERIAL));
        self::assertSame('3.80', Length::write(3.8, Length::METRIC));
    }

    public function test_fixes_a_room_in_feet_that_does_not_close(): void
    {
        $text = "17 ft cove\nright 12 ft 6 in cove\nright 17 ft cove\nright 11 ft 6 in cove\nclose";
        $slip = WallNotes::read($text)->slips[0];
        self::assertSame([4, 6, 10, '12 ft 6 in'], [$slip->line, $slip->column, $slip->length, $slip->instead]);
        self::assertSame([], WallNotes::read((new WallText($text))->mended($slip))->slips);
    }

    public function test_a_run_climbs_and_comes_down_without_moving_on_the_sheet(): void
    {
        $sheet = WallNotes::read("2 band\nup 1.2 band\n0.9 band\ndown 1.2 band\n2 band");
        self::assertSame([], $sheet->slips);
        self::assertCount(4, $sheet->corners);
        self::assertEqualsWithDelta(4.9, $sheet->corners[3]->y, 1e-9);
        self::assertCount(1, $sheet->runs['band']->sections);
        self::assertEqualsWithDelta(7.3, $sheet->runs['band']->length(), 1e-9);
        self::assertSame([false, true], array_map(static fn($c): bool => $c->down, $sheet->climbs));
        self::assertEqualsWithDelta(2.0, $sheet->climbs[0]->at->y, 1e-9);
    }

    public function test_runs_have_names_of_several_words_and_of_directions(): void
    {
        $sheet = WallNotes::read("3.10 Long wall and left\nright 2 right\nright 3 run\nrun long wall, profile");
        self::assertSame([], $sheet->slips);
        self::assertSame(['long-wall', 'left', 'right', 'run'], array_keys($sheet->runs));
        self::assertSame(['profile'], $sheet->site->runs['long-wall']->mounting);
        self::assertSame(2.0, $sheet->runs['right']->length());
    }

    public function test_a_leg_without_the_run_makes_a_jump_of_its_length(): void
    {
        $run = WallNotes::read("2 band\nright 1.5\nright 2 band")->runs['band'];
        self::assertSame([2.0, 2.0], $run->lengths);
        self::assertEqualsWithDelta([1.5], $run->jumps, 1e-9);
    }

    /** @return iterable<string, array{string, int, int, int, string}> text, line, column, length, part of the message */
    public static function slips(): iterable
    {
        yield 'letter O' => ["start door\nright 3,8O cove", 2, 6, 4, 'Did you mean 3,80?'];
        yield 'no length' => ['cove', 1, 0, 4, 'Expected a length'];
        yield 'missing length' => ['right', 1, 5, 0, 'is missing'];
        yield 'nothing' => ['0 cove', 1, 0, 1, 'more than 0'];
        yield 'negative' => ['-3 cove', 1, 0, 2, 'Expected a length'];
        yield 'a run named by a unit' => ['5.20 cm ft', 1, 8, 2, 'cannot be the name of a run'];
        yield 'feet after metres' => ["5.20 cove\nright 3 ft 4 in", 2, 6, 9, 'notes use metres'];
        yield 'metres after feet' => ["17 ft cove\nright 3.80", 2, 6, 4, 'notes use feet'];
        yield 'inches without in' => ['3 ft 4 cove', 1, 7, 4, 'Type inches'];
        yield 'no fraction' => ['3 ft 4 5/4 in', 1, 7, 3, 'no fraction'];
        yield 'fraction without in' => ['40 1/2 cove', 1, 3, 3, 'Type “in”'];
        yield 'gap in a climb' => ['up 2 cove, gap 1 at 0', 1, 9, 1, 'has no gap'];
        yield 'millimetres' => ['5200 cove', 1, 0, 4, 'longer than the 500 m'];
        yield 'two points' => ['5.2.0 cove', 1, 0, 5, 'Expected'];
        yield 'turn' => ['rihgt 3.80', 1, 0, 5, 'Did you mean right?'];
        yield 'wide turn' => ['right 190 3', 1, 6, 3, 'between 0 and 180'];
        yield 'second start' => ["2\nstart door", 2, 0, 5, 'Type “start” once'];
        yield 'after close' => ["2\nright 2\nright 2\nright 2\nclose\n3", 6, 0, 1, 'No wall may follow'];
        yield 'gap without comma' => ['5 cove gap 1 at 1', 1, 7, 3, 'comma'];
        yield 'gap misspelt' => ['5 cove, gpa 1 at 1', 1, 8, 3, 'Type “gap”'];
        yield 'gap without at' => ['5 cove, gap 0.9 1.3', 1, 16, 3, '“at”'];
        yield 'gap too far' => ['5 cove, gap 0.9 at 4.5', 1, 12, 3, 'ends at 5.40 m'];
        yield 'gaps overlap' => ['5 cove, gap 1 at 1, gap 1 at 1.5', 1, 29, 3, 'before the one before it ends'];
        yield 'an attribute without a comma' => ['5 cove profile', 1, 7, 7, 'Type a comma before'];
        yield 'three long words' => ['5 counter under the kitchen', 1, 2, 7, 'at most 24 letters'];
        yield 'keyword as run' => ['5 close', 1, 2, 5, 'cannot be the name of a run'];
        yield 'after umlauts' => ['5 größe; x', 1, 9, 1, 'Expected'];
        yield 'not closed' => ["2\nright 2\nclose", 3, 0, 5, 'does not close: 2.83 m'];
    }

    #[DataProvider('slips')]
    public function test_a_slip_points_at_its_word(
        string $text,
        int $line,
        int $column,
        int $length,
        string $said,
    ): void {
        $slips = WallNotes::read($text)->slips;
        self::assertNotSame([], $slips);
        self::assertSame([$line, $column, $length], [$slips[0]->line, $slips[0]->column, $slips[0]->length]);
        self::assertStringContainsString($said, $slips[0]->message);
    }

    public function test_a_slip_leaves_the_other_clauses_standing(): void
    {
        $sheet = WallNotes::read("5.20 cove\nright x cove\nright 3.80 cove");
        self::assertCount(1, $sheet->slips);
        self::assertEqualsWithDelta(9.0, $sheet->runs['cove']->length(), 1e-9);
        // The turn of the faulty clause is not made twice.
        self::assertEqualsWithDelta(3.8, $sheet->corners[2]->x, 1e-9);
    }

    public function test_a_short_last_leg_is_offered_its_length(): void
    {
        $text = "5.20 cove\nright 3.80 cove\nright 5.20 cove\nright 3.50 cove\nclose";
        $slip = WallNotes::read($text)->slips[0];
        self::assertSame([4, '3.80'], [$slip->line, $slip->instead]);
        self::assertSame([], WallNotes::read((new WallText($text))->mended($slip))->slips);
    }

    public function test_a_fix_replaces_only_the_word(): void
    {
        $text = "# grüße\r\nright 3,8O cove # keep";
        $slip = WallNotes::read($text)->slips[0];
        self::assertSame("# grüße\r\nright 3,80 cove # keep", (new WallText($text))->mended($slip));
    }

    public function test_no_text_brings_it_down(): void
    {
        mt_srand(7);
        $words = [
            'start',
            'close',
            'left',
            'right',
            'gap',
            'at',
            ',',
            ';',
            '5.20',
            '0',
            'cove',
            "\n",
            '#',
            '9e9',
            'ß',
            '-1',
            '1,2,3',
        ];
        for ($n = 0; $n < 400; $n++) {
            $text = implode(
                ' ',
                array_map(static fn(): string => $words[mt_rand(0, count($words) - 1)], range(1, mt_rand(1, 14))),
            );
            foreach (WallNotes::read($text)->slips as $slip) {
                self::assertGreaterThanOrEqual(1, $slip->line);
                self::assertNotSame('', $slip->message);
            }
        }
        self::assertSame([], WallNotes::read('')->slips);
    }
}
