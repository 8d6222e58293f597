<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks\Site;

use EmberDusk\Advice\SheetPicture;
use EmberDusk\Advice\TraceDesk;
use EmberDusk\Checks\Site\SiteFindings;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Survey\Length;
use EmberDusk\Survey\TapeNotes;
use EmberDusk\Survey\Trace\TracedLeg;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Trouble;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the survey leaves open or speaks against, from notes alone; every fix settles its finding. */
final class SiteFindingsTest extends TestCase
{
    private const WHOLE = "start door\n5 cove\ndry\noutlet P1 dais, circuit C1\nrun cove, profile, room light";

    private static function plan(string ...$notes): Plan
    {
        $plan = new Plan(
            'Test',
            '',
            places: array_combine(
                array_map(static fn(int $n): string => "place{$n}", array_keys(array_values($notes))),
                array_map(
                    static fn(int $n): Place => new Place("place{$n}", "Room {$n}", ''),
                    array_keys(array_values($notes)),
                ),
            ),
        );
        foreach (array_values($notes) as $n => $text) {
            $plan = Demo::with($plan, ['kind' => 'ReviseNotes', 'place' => "place{$n}", 'text' => $text]);
        }

        return $plan;
    }

    /** @return list<Finding> */
    private static function findings(Plan $plan): array
    {
        return SiteFindings::of(new JobState($plan, [], Demo::shelf(), []));
    }

    public function test_a_place_that_is_surveyed_whole_says_nothing(): void
    {
        self::assertSame([], self::findings(self::plan(self::WHOLE)));
    }

    /** @return iterable<string, array{string, string, string}> notes, code, words of the title */
    public static function open(): iterable
    {
        yield 'damp or dry' => [str_replace("dry\n", '', self::WHOLE), 'damp', 'Is Room 0 dry or damp?'];
        yield 'mounting' => [
            str_replace('run cove, profile, room light', '', self::WHOLE),
            'mounting',
            'How is Cove mounted?',
        ];
        yield 'power' => [
            str_replace('outlet P1 dais, circuit C1', '', self::WHOLE),
            'no-power',
            'Where is power in Room 0?',
        ];
        yield 'a run that is not measured' => [
            self::WHOLE . "\nrun shelf, bare",
            'run-unmeasured',
            'Shelf is described but not measured',
        ];
        yield 'bare in the damp' => [
            "5 cove\ndamp\nspur P1\nrun cove, bare",
            'damp-run',
            'Cove is bare in a damp place',
        ];
        yield 'outlet in the damp' => [
            "5 cove\ndamp\nspur P1\nrun cove, profile",
            'damp-outlet',
            'P1 is in a damp place',
        ];
        yield 'live with the key' => [self::WHOLE . "\noutlet P2 dash, key", 'keyed', 'P2 is live with the key only'];
        yield 'untraced' => [
            self::WHOLE . "\nleg A B1 to X 2x1.5\nleg B B1 to Y 2x1.5, traced",
            'untraced',
            'Leg A is not traced',
        ];
        yield 'broken' => [
            self::WHOLE . "\nleg A B1 to X 3x1.5, traced, core 3 broken",
            'broken',
            'Leg A: core 3 is broken',
        ];
        yield 'no tone' => [self::WHOLE . "\nleg A B1 to X 2x1.5, open", 'broken', 'Leg A gives no tone'];
        yield 'joined' => [
            self::WHOLE . "\nleg A B1 to X 2x1.5, traced, joined B",
            'joined',
            'Legs A and B are joined on the way',
        ];
        yield 'loose end' => [self::WHOLE . "\nleg A B1 to ? 2x1.5, traced", 'loose-end', 'Leg A ends somewhere'];
        yield 'box without air' => [
            self::WHOLE . "\nbox B1 loft, 30x20x10, sealed, hand",
            'sealed-box',
            'B1 has no air',
        ];
        yield 'box that nobody looked into' => [
            self::WHOLE . "\nbox B1 loft, vented",
            'box-open',
            'B1 lacks size, access (hand, tools, ladder, closed)',
        ];
        yield 'hub inside a Wi-Fi channel' => [
            self::WHOLE . "\nwifi 6\nhub 17 loft",
            'channel',
            'Zigbee channel 17 lies inside Wi-Fi channel 6',
        ];
        yield 'volts that are wanted' => [
            self::WHOLE . "\nbattery E1, 2 of 6 V",
            'bank-wants',
            'Which volts does the light want of E1?',
        ];
        yield 'a tap that unbalances' => [
            self::WHOLE . "\nbattery E1, 4 of 6 V, want 12 V",
            'unbalanced',
            'A tap across 2 of 4 blocks unbalances E1',
        ];
        yield 'no tap' => [self::WHOLE . "\nbattery E1, 3 of 8 V, want 12 V", 'no-tap', 'E1 has no tap at 12 V'];
    }

    #[DataProvider('open')]
    public function test_what_is_open_is_said_and_its_fixes_settle_it(string $notes, string $code, string $title): void
    {
        $plan = self::plan($notes);
        $found = array_values(array_filter(self::findings($plan), static fn(Finding $f): bool => $f->code === $code));
        self::assertCount(1, $found);
        self::assertSame($title, $found[0]->title);
        self::assertSame('survey', $found[0]->place->stage);
        foreach ($found[0]->fixes as $fix) {
            $codes = array_map(
                static fn(Finding $f): string => $f->code,
                self::findings(Demo::with($plan, $fix->change)),
            );
            self::assertNotContains($code, $codes, $fix->label);
        }
    }

    public function test_a_converter_is_taken_from_the_shelf_by_the_volts_at_charging(): void
    {
        // Six blocks of 8 V lie at 44.0 to 57.6 V: 30-60 V will do. Three lie at 22.0 to 28.8 V.
        $detail = static fn(string $blocks): string => self::findings(
            self::plan(self::WHOLE . "\nbattery E1, {$blocks}, want 12 V"),
        )[0]->detail;
        self::assertStringContainsString(
            'must take 44.0 to 57.6 V. On the shelf: Converter 30-60 V to 12 V',
            $detail('6 of 8 V'),
        );
        self::assertStringContainsString(
            'must take 22.0 to 28.8 V. On the shelf: Converter 18-32 V to 12 V',
            $detail('3 of 8 V'),
        );
        self::assertStringContainsString('The shelf has none that takes it', $detail('9 of 8 V'));
    }

    /** Networks of all places are held against each other: the radio does not stop at a door. */
    public function test_channels_are_held_against_those_of_other_places(): void
    {
        $codes = array_map(
            static fn(Finding $f): string => $f->code,
            self::findings(
                self::plan(
                    self::WHOLE . "\nwifi 1",
                    str_replace(['P1', 'cove'], ['P2', 'shelf'], self::WHOLE) . "\nhub 12",
                ),
            ),
        );
        self::assertSame(['channel'], $codes);
        self::assertSame([], self::findings(self::plan(self::WHOLE . "\nwifi 1\nwifi 6\nwifi 11\nhub 15\nhub ?")));
    }

    public function test_the_sheet_is_drawn_at_true_scale_with_what_stands_where(): void
    {
        $sheet = SheetPicture::of(
            TapeNotes::read(
                "start door\n4 cove, gap 1 at 2 window\nright 3\nbox B1 loft at 0.5\noutlet P1 desk\nup 0.8 cove\nleg A B1 to window 2x1.5\nleg B B1 to attic 2x1.5\nleg C roof to cellar 2x1.5",
            ),
            Length::METRIC,
        );
        self::assertSame([[0.0, 0.0], [0.0, 4.0], [3.0, 4.0]], $sheet['corners']);
        self::assertSame([['leg' => 0, 'text' => '4.00'], ['leg' => 1, 'text' => '3.00']], $sheet['walls']);
        self::assertSame(['cove', '3.80 m'], [$sheet['runs'][0]['word'], $sheet['runs'][0]['text']]);
        self::assertSame(['at' => [3.0, 4.0], 'text' => '0.80 m', 'down' => false], $sheet['climbs'][0]);
        [$outlet, $box] = $sheet['spots'];
        self::assertSame(['B1', [0.5, 4.0]], [$box['name'], $box['at']]);
        // What is only known to be in the room stands inside it.
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
        $feet = SheetPicture::of(
            TapeNotes::read("12 ft 8 in port\nleg A B1 to X 3x14 awg 9 ft 2 in"),
            Length::IMPERIAL,
        );
        self::assertSame(['12 ft 8 in', '3 x 14 AWG 9 ft 2 in'], [$feet['walls'][0]['text'], $feet['legs'][0]['text']]);
    }

    public function test_a_trace_is_told_in_words(): void
    {
        $place = new Place('room', 'Room', "5 cove\nleg A B1 to X 2x1.5\nleg B B1 to ? 2x1.5\nleg C P1 to Z 2x1.5");
        self::assertEquals([new TracedLeg('A', 'X', 2), new TracedLeg('B', null, 2)], TraceDesk::legs($place, 'B1'));
        $step = TraceDesk::of([new TracedLeg('A', 'X', 2), new TracedLeg('C', 'Z', 3)], [])['step'];
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
                TraceDesk::legs($place, $near);
                self::fail('There is nothing to trace.');
            } catch (Trouble $t) {
                self::assertSame('/near', $t->pointer);
            }
        }
    }
}
