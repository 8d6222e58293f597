<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Parts;

use EmberDusk\Parts\Piece;
use EmberDusk\Parts\PiecesToCut;
use EmberDusk\Parts\StockCut;
use EmberDusk\Plan\Bends;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Profile follows the walls: cut at every corner, the saw takes 3 mm (common practice, no source). Worked by hand. */
final class CornersTest extends TestCase
{
    /** A run of single-colour strip in profile by wall notes. */
    private static function plan(string $notes): Plan
    {
        return Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => "dry\n{$notes}\nrun line, profile"],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'strip-single-24'],
        );
    }

    /** @return iterable<string, array{string, list<list<float>>}> */
    public static function rooms(): iterable
    {
        yield 'straight' => ["start door\n3.00 line", [[3.0]]];
        yield 'straight over two measurements' => ["start door\n1.00 line\n2.00 line", [[3.0]]];
        yield 'one corner' => ["start door\n1.20 line\nright 0.70 line", [[1.2, 0.7]]];
        yield 'corner behind a gap' => [
            "start door\n2.00 line, gap 0.50 at 1.00 window\nright 0.70 line",
            [[1.0], [0.5, 0.7]],
        ];
        yield 'up a step and on' => ["start door\n1.00 line\nup 0.30 line\n1.50 line", [[1.0, 0.3, 1.5]]];
        yield 'all round' => [
            "start door\n2.00 line\nright 1.00 line\nright 2.00 line\nright 1.00 line\nclose",
            [[2.0, 1.0, 2.0, 1.0]],
        ];
    }

    /** @param  list<list<float>>  $pieces */
    #[DataProvider('rooms')]
    public function test_a_run_is_straight_from_corner_to_corner(string $notes, array $pieces): void
    {
        $plan = self::plan($notes);
        self::assertSame($pieces, (new Bends($plan, $plan->run('line')))->pieces());
    }

    public function test_parts_of_a_run_have_the_corners_that_lie_in_them(): void
    {
        // 1.90 m in halves of 0.95 m: the corner at 1.20 m is 0.25 m into the second.
        $plan = Demo::with(self::plan("start door\n1.20 line\nright 0.70 line"), [
            'kind' => 'SplitRun',
            'run' => 'line',
            'parts' => 2,
        ]);
        self::assertSame([[0.95]], (new Bends($plan, $plan->run('line')))->pieces());
        self::assertSame([[0.25, 0.7]], (new Bends($plan, $plan->run('line-1')))->pieces());
    }

    public function test_the_saw_takes_three_millimetres_at_a_corner(): void
    {
        foreach (['1.20' => 1, '1.297' => 1, '1.298' => 2, '1.30' => 2] as $wall => $bought) {
            $plan = Demo::with(self::plan("start door\n{$wall} line\nright 0.70 line"), [
                'kind' => 'SetMaking',
                'run' => 'line',
                'length' => 'never',
            ]);
            $lengths = PiecesToCut::for($plan, Demo::shelf());
            $cut = $lengths->cut('profile-flat', []);
            self::assertSame([$bought, true], [$cut->bought, $cut->proven], "{$wall} m and 0.70 m from 2 m");
        }
    }

    /** 5.2 m from lengths of 2 m: two full ones, 1.2 m of a third, whose rest is 0.8 m less the saw's cut. */
    public function test_offcuts_exclude_the_saw_kerf(): void
    {
        $cut = StockCut::for(kit: 'p', name: 'Profile', stock: 2000, wanted: [new Piece(5200, 'Wall')], kerf: 3);
        self::assertSame([3, 2, 797, true], [$cut->bought, $cut->joints, $cut->left(), $cut->proven]);
        self::assertSame(
            5200,
            array_sum(array_merge(...array_map(static fn($b): array => array_column($b->pieces, 0), $cut->bars))),
        );
    }
}
