<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Parts;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Parts\AssemblyFindings;
use EmberDusk\Job\JobState;
use EmberDusk\Parts\Offcut;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Finding;
use PHPUnit\Framework\TestCase;

/** Joints allowed and forbidden, and the offcuts used. */
final class PiecesTest extends TestCase
{
    use AssembledPlan;

    public function test_joints_are_made_where_needed_wherever_they_save_or_never(): void
    {
        // Sections of 3, 3 and 4 m: a reel each, as no two fit one; joined at two places they come out of two reels.
        $plan = self::plan('10.00 line, gap 0.10 at 3.00, gap 0.10 at 6.00', ', bare');
        $cut = static fn(Plan $p): array => array_map(
            static fn($c): array => [$c->bought, $c->joints],
            PartsList::for($p, Demo::shelf())->cuts,
        )[0];
        self::assertSame([3, 0], $cut($plan));
        $saving = Demo::with($plan, ['kind' => 'SetMaking', 'run' => 'line', 'strip' => 'saving']);
        self::assertSame([2, 1], $cut($saving));
        // Leads over two gaps of two cores, the tail at the strip, and the joint of the strip: 8 + 2, + 2.
        self::assertSame(
            [10.0, 12.0],
            [self::parts($plan)['connector-solder']->count, self::parts($saving)['connector-solder']->count],
        );
        self::assertSame(
            [['line' => 1], []],
            [PartsList::for($saving, Demo::shelf())->joined, PartsList::for($plan, Demo::shelf())->joined],
        );
        // Each lead is 0.10 m of the tail's cable and 0.15 m at each end.
        self::assertStringContainsString(
            'lead between sections',
            implode(' ', array_keys(self::parts($plan)['cable-2x15']->why)),
        );
        self::assertEqualsWithDelta(0.8, self::parts($plan)['cable-2x15']->why['Line, lead between sections'], 1e-9);
    }

    public function test_reports_a_piece_longer_than_stock_with_a_fix(): void
    {
        $plan = Demo::with(self::plan('6.00 line', ', profile'), [
            'kind' => 'SetMaking',
            'run' => 'line',
            'strip' => 'never',
            'length' => 'never',
        ]);
        $findings = array_values(
            array_filter(
                (new AssemblyFindings())->check(JudgedJob::for(new JobState($plan, [], Demo::shelf(), []))),
                static fn(Finding $f): bool => $f->code === 'too-long',
            ),
        );
        self::assertSame(
            [
                'Line is longer than any Single colour 24 V, 9.6 W/m',
                'Line is longer than any Flat profile, 2 m',
                'Line is longer than any Opal diffuser, 2 m',
            ],
            array_map(static fn(Finding $f): string => $f->title, $findings),
        );
        self::assertSame(
            ['parts', 'line', 6.0, 5.0],
            [$findings[0]->place->stage->value, $findings[0]->place->id, $findings[0]->number, $findings[0]->limit],
        );
        foreach ($findings as $finding) {
            $plan = Demo::with($plan, $finding->fixes[0]->change);
        }
        self::assertSame(
            [],
            (new AssemblyFindings())->check(JudgedJob::for(new JobState($plan, [], Demo::shelf(), []))),
        );
        self::assertSame([], $plan->makings, 'as usual again');
        // An offcut of 6 m holds it whole.
        $whole = Demo::with(self::plan('6.00 line', ', bare'), [
            'kind' => 'SetMaking',
            'run' => 'line',
            'strip' => 'never',
        ]);
        self::assertSame(
            [],
            array_filter(
                (new AssemblyFindings())->check(
                    JudgedJob::for(
                        new JobState($whole, [], Demo::shelf(), [], offcuts: [new Offcut(1, 'strip-single-24', 6.0)]),
                    ),
                ),
                static fn(Finding $f): bool => $f->code === 'too-long',
            ),
        );
        self::assertSame(
            [0.0, 0.0],
            [
                self::parts($whole, ['strip-single-24' => [6.0]])['strip-single-24']->buy,
                self::parts($whole, ['strip-single-24' => [6.0]])['strip-single-24']->cost(),
            ],
        );
    }

    public function test_offcuts_are_cut_before_anything_is_bought(): void
    {
        $plan = self::plan('6.00 line, gap 0.10 at 2.00', ', bare');
        // 2 m and 3.9 m: two reels, or one and the 2.03 m that are there, good for 2 m.
        self::assertSame(
            [2.0, 1.0],
            [
                self::parts($plan)['strip-single-24']->buy,
                self::parts($plan, ['strip-single-24' => [2.03]])['strip-single-24']->buy,
            ],
        );
        $bars = PartsList::for($plan, Demo::shelf(), ['strip-single-24' => [2.03]])->cuts[0]->bars;
        self::assertSame(
            [[2000, true, 0], [5000, false, 1100]],
            array_map(static fn($b): array => [$b->length, $b->offcut, $b->left], $bars),
        );
        self::assertSame(
            2.0,
            self::parts($plan, ['strip-tunable-24' => [5.0]])['strip-single-24']->buy,
            'an offcut of another strip is no use',
        );
    }
}
