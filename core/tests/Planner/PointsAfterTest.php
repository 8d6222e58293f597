<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Checks\Findings;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Island;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Planner\Planner;
use EmberDusk\Planner\PointsAfter;
use EmberDusk\Planner\Proposal;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Severity;
use PHPUnit\Framework\TestCase;

/** Points that a job has only once a proposal is taken. */
final class PointsAfterTest extends TestCase
{
    private const BANK = "battery E1 at 0.40, 1 of 12 V\nbox B1 locker at 1.20, 60x40x20, vented";

    private static function room(string $notes, string $strip, string ...$runs): Plan
    {
        $plan = new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]);
        $plan = Demo::with($plan, ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => $notes]);
        foreach ($runs as $run) {
            $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $strip]);
        }

        return $plan;
    }

    private static function boat(): Plan
    {
        return self::room(
            "start hatch\ndry\n5.00 line\nright 5.00 shelf\nright 5.00 bar\nright 4.80 back\n" . self::BANK,
            'strip-single-24-bright',
            'line',
            'shelf',
            'bar',
            'back',
        );
    }

    private static function proposed(Plan $plan, string ...$runs): Proposal
    {
        return Planner::propose($plan, array_values($runs), Demo::basis());
    }

    /** @return list<string> about the load of the bank */
    private static function overload(Proposal $proposal): array
    {
        return array_values(preg_grep('/^S1: .* A drawn/', $proposal->answer()->added) ?: []);
    }

    public function test_names_a_bank_that_a_proposal_overloads_with_the_runs_on_it_already(): void
    {
        $plan = self::boat();
        foreach (['line', 'shelf', 'bar'] as $run) {
            $proposal = self::proposed($plan, $run);
            self::assertSame([], self::overload($proposal), $run);
            $plan = $proposal->built($proposal->parts);
        }
        [$said] = [...self::overload(self::proposed($plan, 'back')), ''];
        self::assertMatchesRegularExpression('/^S1: [\d.]+ A drawn, rated 21.0 A continuous$/', $said);
        // 14.4 W a metre (label) through converters of 90 % from 12.6 V, which sag by some per cent; a fifth of 105 Ah is 21 A.
        $amps = (float) substr($said, 4);
        self::assertGreaterThan((19.8 * 14.4) / 0.9 / 12.6, $amps);
        self::assertLessThan((1.06 * (19.8 * 14.4)) / 0.9 / 12.6, $amps);
    }

    public function test_names_a_bank_that_the_parts_of_a_proposal_overload_together(): void
    {
        $proposal = self::proposed(self::boat(), 'line', 'shelf', 'bar', 'back');
        self::assertGreaterThan(1, count($proposal->parts));
        self::assertCount(1, self::overload($proposal));
        self::assertTrue($proposal->whole());
    }

    public function test_does_not_repeat_the_points_that_the_job_has_already(): void
    {
        $plan = self::boat();
        $proposal = self::proposed($plan, 'line', 'shelf', 'bar', 'back');
        $made = $proposal->built($proposal->parts);
        self::assertSame([], (new PointsAfter($made, $made, ['back']))->added);
    }

    public function test_names_a_point_that_a_worse_one_at_the_same_run_does_not_hide(): void
    {
        $plan = self::room(
            "start hatch\ndry\n5.00 line\nright 5.00 shelf\nright 5.00 bar\n" . self::BANK,
            'strip-single-12',
            'line',
            'shelf',
            'bar',
        );
        $said = [];
        foreach (['shelf', 'bar', 'line'] as $run) {
            $proposal = self::proposed($plan, $run);
            $said[$run] = $proposal->answer()->added;
            $plan = $proposal->built($proposal->parts);
        }
        // The shelf is the darker one of both pairs, so both points are at the shelf.
        self::assertSame(
            [
                'shelf' => [],
                'bar' => ['Shelf and Bar differ where they meet'],
                'line' => ['Shelf and Line differ where they meet'],
            ],
            $said,
        );
    }

    /** The open points that a person finds after taking it, none of which the job had, were all named before. */
    public function test_names_every_warning_that_a_proposal_for_a_whole_job_brings(): void
    {
        $plan = JobFile::read(Demo::shipped('observatory'));
        $proposal = self::proposed($plan, ...array_map(strval(...), array_keys($plan->runs)));
        $titles = static function (Plan $of): array {
            $results = [];
            foreach (Island::all($of) as $island) {
                $results += (new Engine($of))->island($island);
            }
            $found = (new Findings(new JobState($of, $results, Demo::shelf())))->for();

            return array_map(
                static fn(Finding $f): string => $f->title,
                array_filter($found, static fn(Finding $f): bool => $f->severity !== Severity::Open),
            );
        };
        $new = array_diff($titles($proposal->built($proposal->parts)), $titles($plan));
        self::assertContains('C2 is not splash-proof and stands in a damp place', $new);
        $answer = $proposal->answer();
        self::assertSame(
            [],
            array_diff($new, preg_replace('/ \(new, [^)]*\)/', '', [...$answer->stays, ...$answer->added])),
        );
    }

    public function test_names_new_cables_by_their_ends(): void
    {
        $plan = self::room(
            "start hatch\ndry\n1.80 line\noutlet P1 at 0.30\nbox B1 locker at 0.90, 40x30x12, vented",
            'pixels-12-rgb',
            'line',
        );
        $made = $plan;
        foreach (['supply-12-60', 'board-screw', 'cable-3x15'] as $kit) {
            $made = Demo::with($made, ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => $kit]);
        }
        [$feed] = $made->ways()->feedsOf($made->run('line'));
        $cable = $made->ways()->cableTo($feed->id);
        self::assertNotNull($cable);
        $two = Demo::with($made, ['kind' => 'SetCable', 'cable' => $cable->id, 'kit' => 'cable-2x1']);
        $id = strtoupper($cable->id);
        self::assertContains(
            "{$id} (new, C1 to Line) has 2 cores, power and data need 3",
            (new PointsAfter($plan, $two, ['line']))->own,
        );
        self::assertContains(
            "{$id} has 2 cores, power and data need 3",
            (new PointsAfter($made, $two, ['line']))->own,
            'a cable of the job is known by its name',
        );
    }
}
