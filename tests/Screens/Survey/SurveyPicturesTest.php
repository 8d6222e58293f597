<?php

declare(strict_types=1);

namespace Tests\Screens\Survey;

use App\Models\Trace;
use App\Screens\Survey\SheetPicture;
use App\Screens\Survey\TraceScreen;
use EmberDusk\Plan\Place;
use EmberDusk\Survey\Length;
use EmberDusk\Survey\Trace\TracedLeg;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

final class SurveyPicturesTest extends TestCase
{
    public function test_draws_the_sheet_at_true_scale_with_positions(): void
    {
        $sheet = SheetPicture::for(
            WallNotes::read(
                "start door\n4 cove, gap 1 at 2 window\nright 3\nbox B1 loft at 0.5\noutlet P1 desk\nup 0.8 " .
                    "cove\nleg A B1 to window 2x1.5\nleg B B1 to attic 2x1.5\nleg C roof to cellar 2x1.5",
            ),
            Length::METRIC,
        )->write();
        self::assertSame([[0.0, 0.0], [0.0, 4.0], [3.0, 4.0]], $sheet['corners']);
        self::assertSame([['leg' => 0, 'text' => '4.00'], ['leg' => 1, 'text' => '3.00']], $sheet['walls']);
        self::assertSame(['cove', '3.80 m'], [$sheet['runs'][0]['word'], $sheet['runs'][0]['text']]);
        self::assertSame(['at' => [3.0, 4.0], 'text' => '0.80 m', 'down' => false], $sheet['climbs'][0]);
        [$outlet, $box] = $sheet['spots'];
        self::assertSame(['B1', [0.5, 4.0]], [$box['name'], $box['at']]);
        // Things known only to be in the room are drawn inside it.
        self::assertGreaterThan(0.0, $outlet['at'][0]);
        self::assertLessThan(4.0, $outlet['at'][1]);
        [$a, $b, $c] = $sheet['legs'];
        self::assertSame(
            [true, [0.5, 4.0], [0.0, 2.5]],
            [$a['known'], $a['from'], $a['to']],
            'to the middle of the window',
        );
        self::assertSame([false, [0.5, 4.0]], [$b['known'], $b['from']]);
        self::assertEqualsWithDelta(0.8, hypot($b['to'][0] - 0.5, $b['to'][1] - 4.0), 1e-3, 'a stub');
        self::assertSame([null, null], [$c['from'], $c['to']]);
        $feet = SheetPicture::for(
            WallNotes::read("12 ft 8 in port\nleg A B1 to X 3x14 awg 9 ft 2 in"),
            Length::IMPERIAL,
        )->write();
        self::assertSame(['12 ft 8 in', '3 x 14 AWG 9 ft 2 in'], [$feet['walls'][0]['text'], $feet['legs'][0]['text']]);
    }

    public function test_describes_a_trace_as_text(): void
    {
        $place = new Place('room', 'Room', "5 cove\nleg A B1 to X 2x1.5\nleg B B1 to ? 2x1.5\nleg C P1 to Z 2x1.5");
        self::assertEquals([new TracedLeg('A', 'X', 2), new TracedLeg('B', null, 2)], TraceScreen::legs($place, 'B1'));
        $step = TraceScreen::for(
            (new Trace([
                'place' => 'room',
                'near' => 'B1',
                'legs' => [['A', 'X', 2], ['C', 'Z', 3]],
                'answers' => [],
            ]))->forceFill(['id' => 1]),
        )->write()['step'];
        self::assertIsArray($step);
        self::assertCount(1, $step['link']);
        self::assertSame(
            ['A: X', 'C: Z'],
            array_values(array_unique([...$step['link'], ...$step['open']])) === ['C: Z', 'A: X']
                ? ['A: X', 'C: Z']
                : [...$step['link'], ...$step['open']],
        );
        foreach ([['room', 'P9'], ['room', 'nowhere']] as [, $near]) {
            try {
                TraceScreen::legs($place, $near);
                self::fail('There is nothing to trace.');
            } catch (Refusal $t) {
                self::assertSame('/near', $t->pointer);
            }
        }
    }
}
