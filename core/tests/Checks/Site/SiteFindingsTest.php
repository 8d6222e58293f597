<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks\Site;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Site\BankFindings;
use EmberDusk\Checks\Site\PowerFindings;
use EmberDusk\Checks\Site\SiteFindings;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Finding;
use EmberDusk\Values\JobStage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Open points and problems of the survey, from notes alone; every fix settles its finding. */
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
        return array_merge(
            ...array_map(
                static fn(Check $c): array => $c->check(JudgedJob::for(new JobState($plan, [], Demo::shelf(), []))),
                [new SiteFindings(), new PowerFindings(), new BankFindings()],
            ),
        );
    }

    public function test_a_complete_survey_has_no_findings(): void
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
        yield 'loose end' => [self::WHOLE . "\nleg A B1 to ? 2x1.5, traced", 'loose-end', 'Leg A: far end unknown'];
        yield 'box without air' => [
            self::WHOLE . "\nbox B1 loft, 30x20x10, sealed, hand",
            'sealed-box',
            'B1 has no ventilation',
        ];
        yield 'box that nobody looked into' => [
            self::WHOLE . "\nbox B1 loft, vented",
            'box-open',
            'B1 lacks size, access (hand, tools, ladder, closed)',
        ];
        yield 'hub inside a Wi-Fi channel' => [
            self::WHOLE . "\nwifi 6\nhub 17 loft",
            'channel',
            'Zigbee channel 17 overlaps Wi-Fi channel 6',
        ];
        yield 'volts that are wanted' => [
            self::WHOLE . "\nbattery E1, 2 of 6 V",
            'bank-wants',
            'Choose the supply voltage for the lights on E1',
        ];
        yield 'a tap that unbalances' => [
            self::WHOLE . "\nbattery E1, 4 of 6 V, want 12 V",
            'unbalanced',
            'A tap across 2 of 4 blocks unbalances E1',
        ];
        yield 'no tap' => [self::WHOLE . "\nbattery E1, 3 of 8 V, want 12 V", 'no-tap', 'E1 has no tap at 12 V'];
    }

    /** A strip on the bank says its volts; a second bank, and one in another place, are asked for as before. */
    public function test_the_volts_of_a_bank_with_a_strip_on_it_are_known(): void
    {
        $asks = static fn(string $notes, string $at): array => array_column(
            array_filter(
                (new BankFindings())->check(
                    JudgedJob::for(
                        Circuits::in($notes)
                            ->bank('s1', at: $at)
                            ->run('r1', 1.0, ['volts' => 12.0], 's1')
                            ->feed('f1', 'r1', 0)
                            ->cable('k1', '2x2.5', 's1', 'f1')
                            ->state(),
                    ),
                ),
                static fn(Finding $f): bool => $f->code === 'bank-wants',
            ),
            'title',
        );
        $one = "start\n1 r1\nbattery E1 at 0.1, 1 of 12 V";
        self::assertSame([], $asks($one, ''));
        self::assertSame([], $asks($one, 'E1'));
        $two = "{$one}\nbattery E2 at 0.5, 1 of 12 V";
        self::assertSame(['Choose the supply voltage for the lights on E2'], $asks($two, 'E1'));
        self::assertCount(2, $asks($two, ''));
    }

    #[DataProvider('open')]
    public function test_reports_open_points_and_their_fixes_resolve_them(
        string $notes,
        string $code,
        string $title,
    ): void {
        $plan = self::plan($notes);
        $found = array_values(array_filter(self::findings($plan), static fn(Finding $f): bool => $f->code === $code));
        self::assertCount(1, $found);
        self::assertSame($title, $found[0]->title);
        self::assertSame(JobStage::Survey, $found[0]->place->stage);
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
        // Six blocks of 8 V are at 44.0 to 57.6 V: 30-60 V will do. Three are at 22.0 to 28.8 V.
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
}
