<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Costing;

use EmberDusk\Costing\Basis;
use EmberDusk\Costing\Costing;
use EmberDusk\Costing\MovingFigures;
use EmberDusk\Kit\NoShelf;
use EmberDusk\Plan\Splice;
use EmberDusk\Rates\Joints;
use EmberDusk\Rates\Productivity;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\FigureAssertions;
use PHPUnit\Framework\TestCase;

/** Cost of a choice, by hand, on circuits outside the demo; minutes and joints are written here again. */
final class MovingTest extends TestCase
{
    use FigureAssertions;

    private static function basis(Productivity $crew = new Productivity([])): Basis
    {
        return new Basis(shelf: new NoShelf(), crew: $crew);
    }

    public function test_one_run_by_hand(): void
    {
        $plan = Circuits::in()
            ->supply('s1', ['price' => 49.0])
            ->controller('c1', ['price' => 22.5])
            ->run('r1', 2.0, ['channels' => 2, 'price' => 6.4], 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->feed('f2', 'r1', 40)
            ->cable('k1', '2x2.5', 's1', 'c1', metres: 1.23, fuse: 10.0)
            ->cable('k2', '3x1.5', 'c1', 'f1', metres: 0.85)
            ->cable('k3', '3x1.5', 'c1', 'f2', metres: 2.0)
            ->plan();
        $moving = Costing::moving($plan, self::basis(), ['r1']);
        // Two cores at both ends of the trunk and two ends of its fuse, three cores at both ends of two tails.
        self::assertSame(4 + 2 + 2 * 6, $moving->joints());
        // Two units in 40 minutes, one joined in 10, 4.08 m laid at five minutes, 4 + 6 cores into terminals at three, 2 + 6
        // joints of six, two tests of ten, one cut of three.
        $minutes = 2 * 20 + 10 + 4.08 * 5 + 10 * 3 + 8 * 6 + 2 * 10 + 3;
        self::assertEqualsWithDelta($minutes, $moving->minutes(), 1e-9);
        // Cable costs 1.00 a metre by 0.1 m: 1.3, 0.9 and 2.0; a fuse 1.00; an hour 40.
        self::assertEqualsWithDelta(
            49.0 + 22.5 + 1.3 + 0.9 + 2.0 + 1.0 + (40 * $minutes) / 60,
            $moving->cost() / 10_000,
            1e-3,
        );
        self::assertEqualsWithDelta(6.4 * 2.0, ($moving->withStrip(['r1'])->cost() - $moving->cost()) / 10_000, 1e-9);
        self::assertWorkings([MovingFigures::cost($plan, $moving)->write(), MovingFigures::hours($moving)->write()]);
        foreach (MovingFigures::cost($plan, $moving)->inputs as $input) {
            [, $key, $of] = explode('.', $input->path);
            self::assertSame('cost', $of);
            self::assertEqualsWithDelta($moving->lines()[$key]->cost / 10_000, $input->value, 1e-12);
        }
    }

    /** A crew that takes twice as long for joints pays them twice, and nothing else. */
    public function test_the_crews_own_pace_moves_the_price(): void
    {
        $plan = Circuits::simple()->plan();
        $slow = Productivity::from(array_fill(0, 3, ['kind' => 'joints', 'table' => 30.0, 'taken' => 60]));
        $table = Costing::moving($plan, self::basis(), ['r1']);
        $crew = Costing::moving($plan, self::basis($slow), ['r1']);
        // Two cables of two cores: six cores in terminals, two soldered to the strip.
        self::assertEqualsWithDelta($table->minutes() + 6 * 3 + 2 * 6, $crew->minutes(), 1e-9);
    }

    /** Core on core at a splice: one joint a core, however many cables meet; a pair to pixels that asks for data joins two. */
    public function test_joints_at_splices_and_of_pairs(): void
    {
        $plan = Circuits::in()
            ->supply('s1', ['volts' => 5.0])
            ->run('r1', 2.0, ['kind' => 'pixels'], 's1')
            ->feed('f1', 'r1', 0)
            ->feed('f2', 'r1', 20)
            ->put('splices', 't1', new Splice('t1', ''))
            ->cable('k1', '2x2.5', 's1', 't1', metres: 3.0, existing: true)
            ->cable('k2', '2x1.5', 't1', 'f1')
            ->cable('k3', '3x1.5', 't1', 'f2')
            ->plan();
        // The supply's two cores and the splice's three; two to the first feed, three with data to the second.
        $joints = (new Joints($plan))->atCables();
        self::assertSame(
            ['k1' => [3, 2], 'k2' => [2, 0], 'k3' => [3, 0]],
            array_map(static fn($j): array => [$j->made, $j->terminals], $joints),
        );
        self::assertSame(10, Costing::moving($plan, self::basis(), ['r1'])->joints());
        $laid = array_map(static fn($l): float => $l->count, Costing::moving($plan, self::basis(), ['r1'])->lines());
        self::assertEqualsWithDelta(2.0, $laid['work-cables'], 1e-12, 'what lies there is not laid again');
    }

    public function test_it_is_additive(): void
    {
        $plan = Circuits::in()
            ->supply('s1')
            ->controller('c1')
            ->run('r1', 2.0, [], 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1', metres: 0.37)
            ->cable('k2', '2x2.5', 'c1', 'f1', metres: 1.11)
            ->supply('s2')
            ->controller('c2', ['price' => 3.333])
            ->run('r2', 3.0, [], 's2', controller: 'c2')
            ->feed('f2', 'r2', 60)
            ->cable('k3', '2x2.5', 's2', 'c2', metres: 0.41)
            ->cable('k4', '2x2.5', 'c2', 'f2', metres: 2.22)
            ->plan();
        $cost = static fn(string ...$runs): int => Costing::moving($plan, self::basis(), array_values($runs))->cost();
        self::assertSame($cost('r1') + $cost('r2'), $cost('r1', 'r2'));
    }
}
