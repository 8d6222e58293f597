<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Difference;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ChangesTest extends TestCase
{
    /** @return array<string, int> pads by feed */
    private static function pads(Plan $plan): array
    {
        return array_map(static fn($f): int => $f->pad, $plan->feeds);
    }

    public function test_feed_both_ends_adds_the_missing_feed_with_a_tail_along_the_seam(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends']);
        self::assertSame(['f1' => 0, 'f2' => 360], self::pads($plan));
        // The ends meet, so the second tail takes the first one's route: 3.20 m, not measured.
        self::assertEqualsWithDelta(3.2, $plan->cables['k3']->length, 1e-9);
        self::assertTrue($plan->cables['k3']->reckoned);
        self::assertSame('cable-3x15', $plan->cables['k3']->kit);
    }

    public function test_feed_the_middle_calculates_its_tail_along_the_run(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'middle']);
        self::assertSame(['f1' => 0, 'f2' => 180], self::pads($plan));
        self::assertEqualsWithDelta(3.2 + 9.0, $plan->cables['k3']->length, 1e-9);
    }

    public function test_a_measured_length_is_not_calculated_any_more(): void
    {
        $plan = Demo::with(
            Demo::plan(),
            ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'],
            ['kind' => 'SetCable', 'cable' => 'k3', 'length' => 4.1],
        );
        self::assertFalse($plan->cables['k3']->reckoned);
        self::assertEqualsWithDelta(4.1, $plan->cables['k3']->length, 1e-9);
    }

    public function test_feeds_keep_their_metre_when_run_or_strip_change(): void
    {
        $plan = Demo::with(
            Demo::plan(),
            ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'],
            ['kind' => 'AddFeed', 'run' => 'cove', 'at' => 6.0],
        );
        self::assertSame(['f1' => 0, 'f2' => 360, 'f3' => 120], self::pads($plan));
        $shorter = Demo::with($plan, ['kind' => 'ReviseNotes', 'place' => 'lecture', 'text' => "start door\n10 cove"]);
        self::assertSame(['f1' => 0, 'f2' => 200, 'f3' => 120], self::pads($shorter));
        $finer = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => 'cove', 'kit' => 'strip-tunable-12']);
        self::assertSame(['f1' => 0, 'f2' => 720, 'f3' => 240], self::pads($finer));
    }

    public function test_a_run_too_short_for_its_feeds_loses_the_last_ones_with_their_cables(): void
    {
        $plan = Demo::with(
            Demo::plan(),
            ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'],
            ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'middle'],
            ['kind' => 'ReviseNotes', 'place' => 'lecture', 'text' => '0.06 cove'],
        );
        self::assertCount(2, $plan->feeds);
        self::assertCount(3, $plan->cables);
    }

    public function test_a_run_shorter_than_a_piece_of_its_strip_has_no_strip(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'ReviseNotes', 'place' => 'lecture', 'text' => '0.03 cove']);
        self::assertNull($plan->runs['cove']->strip);
        self::assertSame([], $plan->feeds);
    }

    public function test_notes_with_a_slip_are_kept_and_move_nothing(): void
    {
        $plan = Demo::with(Demo::plan(), [
            'kind' => 'ReviseNotes',
            'place' => 'lecture',
            'text' => "5.2O cove\n1 cove",
        ]);
        self::assertSame("5.2O cove\n1 cove", $plan->places['lecture']->notes);
        self::assertEqualsWithDelta(18.0, $plan->runs['cove']->length(), 1e-9);
    }

    public function test_a_run_that_left_the_notes_stays_until_it_is_dropped(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'ReviseNotes', 'place' => 'lecture', 'text' => '5.20 shelf']);
        self::assertSame(['cove', 'shelf'], array_keys($plan->runs));
        $dropped = Demo::with($plan, ['kind' => 'DropRun', 'run' => 'cove']);
        self::assertSame(['shelf'], array_keys($dropped->runs));
        self::assertSame(
            [[], [], [], []],
            [$dropped->feeds, $dropped->cables, $dropped->supplies, $dropped->controllers],
        );
        self::assertSame(['hub-zigbee'], array_keys($dropped->kit));
    }

    public function test_an_entry_is_frozen_into_the_plan_and_leaves_with_its_last_use(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'ChooseKit', 'run' => 'cove', 'kit' => 'supply-24-320']);
        self::assertArrayHasKey('supply-24-320', $plan->kit);
        self::assertArrayNotHasKey('supply-24-240', $plan->kit);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function refused(): iterable
    {
        yield 'no such kind' => [['kind' => 'Explode'], '/kind', 'No change of that kind'];
        yield 'no such feed' => [['kind' => 'MoveFeed', 'feed' => 'f9', 'pad' => 1], '/feed', 'no feed “f9”'];
        yield 'off the strip' => [['kind' => 'MoveFeed', 'feed' => 'f1', 'pad' => 361], '/pad', 'ends before'];
        yield 'onto another' => [['kind' => 'AddFeed', 'run' => 'cove', 'pad' => 0], '/pad', 'fed at 0.00 m already'];
        yield 'limit out of range' => [
            [
                'kind' => 'SetLimits',
                'drop' => 0.9,
                'headroom' => 0.2,
                'evenness' => 0.9,
                'seam' => 0.05,
                'cableCelsius' => 40,
            ],
            '/drop',
            'outside',
        ];
        yield 'last feed' => [['kind' => 'RemoveFeed', 'feed' => 'f1'], '/feed', 'only feed'];
        yield 'no such kit' => [['kind' => 'ChooseKit', 'run' => 'cove', 'kit' => 'x'], '/kit', 'no “x”'];
        yield 'not a cable' => [['kind' => 'SetCable', 'cable' => 'k1', 'kit' => 'hub-zigbee'], '/kit', 'is no cable'];
        yield 'no length' => [['kind' => 'SetCable', 'cable' => 'k1', 'length' => 0], '/length', 'outside'];
        yield 'text for a number' => [
            ['kind' => 'SetCable', 'cable' => 'k1', 'length' => 'long'],
            '/length',
            'number was expected',
        ];
        yield 'half a pad' => [['kind' => 'MoveFeed', 'feed' => 'f1', 'pad' => 1.5], '/pad', 'whole number'];
        yield 'empty name' => [
            ['kind' => 'NameLight', 'controller' => 'c1', 'name' => ' ', 'room' => 'Hall'],
            '/name',
            'Type the name for voice control',
        ];
        yield 'empty room' => [
            ['kind' => 'NameLight', 'controller' => 'c1', 'name' => 'Cove', 'room' => ''],
            '/room',
            'Type the room',
        ];
        yield 'long name' => [
            ['kind' => 'NameLight', 'controller' => 'c1', 'name' => str_repeat('x', 21), 'room' => 'Hall'],
            '/name',
            'Shorten it by 1',
        ];
        yield 'room as name' => [
            ['kind' => 'NameLight', 'controller' => 'c1', 'name' => 'hall', 'room' => 'Hall'],
            '/name',
            'same name',
        ];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('refused')]
    public function test_a_change_that_does_not_fit_says_at_which_field(
        array $change,
        string $pointer,
        string $said,
    ): void {
        try {
            Demo::with(Demo::plan(), $change);
            self::fail('it was done');
        } catch (Refusal $t) {
            self::assertSame($pointer, $t->pointer);
            self::assertStringContainsString($said, $t->getMessage());
        }
    }

    public function test_two_lights_cannot_have_one_name(): void
    {
        $plan = Demo::with(
            Demo::plan(),
            ['kind' => 'ReviseNotes', 'place' => 'lecture', 'text' => "start door\n5 cove\n2 shelf"],
            ['kind' => 'ChooseKit', 'run' => 'shelf', 'kit' => 'strip-single-24'],
            ['kind' => 'ChooseKit', 'run' => 'shelf', 'kit' => 'controller-zigbee-1'],
            ['kind' => 'NameLight', 'controller' => 'c1', 'name' => 'Cove', 'room' => 'Hall'],
        );
        $this->expectExceptionMessage('taken by C1');
        Demo::with($plan, ['kind' => 'NameLight', 'controller' => 'c2', 'name' => 'COVE', 'room' => 'Attic']);
    }

    public function test_describes_a_change_as_text(): void
    {
        $words = static fn(array $change): string => Catalogue::read($change, Demo::shelf())->words(Demo::plan());
        self::assertSame('Feed added to Cove at 6.00 m', $words(['kind' => 'AddFeed', 'run' => 'cove', 'pad' => 120]));
        self::assertSame(
            'Feed of Cove moved from 0.00 m to 0.10 m',
            $words(['kind' => 'MoveFeed', 'feed' => 'f1', 'pad' => 2]),
        );
        self::assertSame(
            'K2 becomes 3 x 2.5 mm² flexible and K2 is 4.00 m long',
            $words(['kind' => 'SetCable', 'cable' => 'k2', 'kit' => 'cable-3x25', 'length' => 4]),
        );
        self::assertSame(
            'Limits set: drop 3 %, headroom 25 %, evenness 0.85, seam 4 %, cables at 55 °C',
            $words([
                'kind' => 'SetLimits',
                'drop' => 0.03,
                'headroom' => 0.25,
                'evenness' => 0.85,
                'seam' => 0.04,
                'cableCelsius' => 55,
            ]),
        );
        self::assertSame(
            'Cove fed at both ends',
            $words(['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends']),
        );
    }

    public function test_restoring_the_touched_items_gives_the_earlier_document(): void
    {
        $plan = Demo::plan();
        $plans = [
            Demo::with($plan, ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends']),
            Demo::with($plan, ['kind' => 'ChooseKit', 'run' => 'cove', 'kit' => 'supply-24-320']),
            Demo::with($plan, ['kind' => 'DropRun', 'run' => 'cove']),
            Demo::with($plan, ['kind' => 'DescribeJob', 'name' => 'New', 'client' => '']),
            Demo::with($plan, ['kind' => 'ReviseNotes', 'place' => 'lecture', 'text' => '0.03 cove']),
        ];
        foreach ($plans as $after) {
            $touched = (new Difference($plan, $after))->between();
            self::assertSame(JobFile::write($plan), JobFile::write(Difference::restore($after, $plan, $touched)));
            self::assertSame(JobFile::write($after), JobFile::write(Difference::restore($plan, $after, $touched)));
        }
    }

    public function test_restoring_keeps_changes_of_others(): void
    {
        $first = Demo::with(Demo::plan(), ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends']);
        $second = Demo::with($first, ['kind' => 'SetCable', 'cable' => 'k1', 'length' => 7]);
        $undone = Difference::restore($second, Demo::plan(), (new Difference(Demo::plan(), $first))->between());
        self::assertSame(['f1'], array_keys($undone->feeds));
        self::assertEqualsWithDelta(7.0, $undone->cables['k1']->length, 1e-9);
    }
}
