<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Costing\Basis;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Planner\Planner;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

/** Claims of a proposal: never the cheapest beside a cheaper valid layout, never mains in a place without it. */
final class KeepTest extends TestCase
{
    private const WALL = "start\n4 r1\ndry\nrun r1, profile\noutlet P1 at 0.2";

    public function test_a_drawing_that_holds_and_is_cheaper_is_to_be_kept(): void
    {
        // Kit of the job's own at a price of 1, which the shelf does not have.
        $drawn = Circuits::simple(4.0, self::WALL)->standing('s1', 'P1')->plan();
        $answer = Planner::propose($drawn, ['r1'], new Basis(Demo::shelf()))->write();
        self::assertNotNull($answer['drawn']);
        self::assertSame([], $answer['drawn']['broken']);
        self::assertLessThan(0.0, (float) $answer['drawn']['dearer']);
        self::assertTrue($answer['drawn']['keep']);
    }

    public function test_a_drawing_that_breaks_a_limit_is_not_kept_however_cheap(): void
    {
        // 38 W on a supply of 24 W.
        $drawn = Circuits::simple(4.0, self::WALL)
            ->supply('s1', ['ratedAmps' => 1.0])
            ->standing('s1', 'P1')
            ->plan();
        $answer = Planner::propose($drawn, ['r1'], new Basis(Demo::shelf()))->write();
        self::assertNotSame([], $answer['drawn']['broken'] ?? []);
        self::assertFalse($answer['drawn']['keep'] ?? true);
    }

    public function test_no_mains_supply_is_proposed_where_there_is_only_a_battery(): void
    {
        $boat = Circuits::in("start\n4 r1\ndry\nrun r1, profile\nbattery E1 at 0.5, 1 of 12 V, want 24 V")
            ->run('r1', 4.0)
            ->plan();
        $answer = Planner::propose($boat, ['r1'], new Basis(Demo::shelf()))->write();
        // The narrowboat's cabin has no battery itself: the bank is in the engine space, and nowhere is an outlet.
        $places = JobFile::read(Demo::shipped('narrowboat'))->places;
        $cabin = Demo::with(
            new Plan('Boat', '', places: $places),
            ['kind' => 'ReviseNotes', 'place' => 'cabin', 'text' => $places['cabin']->notes],
            ['kind' => 'ChooseKit', 'run' => 'port', 'kit' => 'strip-single-12'],
        );
        $proposal = Planner::propose($cabin, ['port'], Demo::basis());
        self::assertSame([], $proposal->parts);
        self::assertSame(
            ['port' => 'has its bank in another place: connect a converter at Kit first, with the length of its cable'],
            $proposal->left,
        );
        // A bank of this place is planned on: never a supply on the mains.
        $made = $answer['found'] === null ? $boat : Demo::with($boat, $answer['found']['take']);
        self::assertNotNull($made->converter($made->run('r1')->supply));
        self::assertNotNull($made->block($made->supplies[(string) $made->run('r1')->supply]->bank));
        $shore = Circuits::in(
            "start\n4 r1\ndry\nrun r1, profile\noutlet P1 at 0.2\nbattery E1 at 0.5, 2 of 12 V, want 24 V",
        )
            ->run('r1', 4.0)
            ->plan();
        self::assertSame([], Planner::propose($shore, ['r1'], new Basis(Demo::shelf()))->write()['left']);
    }
}
