<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\Channels\ChannelFinder;
use EmberDusk\Bench\Channels\ConnectionClasses;
use EmberDusk\Bench\Channels\Explanation;
use EmberDusk\Bench\Channels\LeadConnection;
use EmberDusk\Bench\Channels\LeadWords;
use EmberDusk\Bench\Channels\Pixels;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Leads that are moved, loose or touch, switches and orders that are set wrong: found by single colours, always, in as few as can be. */
final class ChannelsTest extends TestCase
{
    private const MODES = ['single', 'tunable', 'rgb', 'rgbw', 'rgbcct'];

    /** @return iterable<string, array{string, int}> */
    public static function kinds(): iterable
    {
        yield 'two' => ['tunable', 2];
        yield 'three' => ['rgb', 3];
        yield 'four' => ['rgbw', 4];
        yield 'five' => ['rgbcct', 5];
    }

    /**
     * Every permutation with none, one and two loose: what would light is calculated here, the finder asks, and names the outputs and
     * colours concerned. Which of two loose leads is which, and at which end a lead is loose, no colour tells: one class.
     */
    #[DataProvider('kinds')]
    public function test_every_order_with_up_to_two_loose_leads_is_named_right(string $kind, int $n): void
    {
        $leaves = self::leaves(ChannelFinder::from((new ConnectionClasses($kind, []))->leads(), []), []);
        $cases = $most = 0;
        foreach (self::permutations(range(0, $n - 1)) as $order) {
            foreach (self::subsets($n, 2) as $loose) {
                $lit = array_map(
                    static fn(int $c): int => in_array($c, $loose, true) ? 0 : 1 << $order[$c],
                    range(0, $n - 1),
                );
                [$found, $asked] = $leaves[implode(' ', $lit)];
                $way = $found->ways[0];
                self::assertInstanceOf(LeadConnection::class, $way);
                if (count($loose) === $n) {
                    // With every lead loose nothing lights at all, which the common lead explains as well.
                    self::assertSame(array_fill(0, $n, 0), $found->shows);
                } else {
                    self::assertEqualsCanonicalizing($loose, $way->loose, implode($order) . ' ' . implode($loose));
                    foreach (array_diff(range(0, $n - 1), $loose) as $output) {
                        self::assertSame($order[$output], $way->order[$output]);
                    }
                }
                $most = max($most, $asked);
                $cases++;
            }
        }
        self::assertSame([2 => 8, 3 => 42, 4 => 264, 5 => 1920][$n], $cases);
        self::assertLessThanOrEqual($n, $most);
    }

    /** The same with a switch that may be wrong and leads that may touch: as deep as the best tree of questions, found here by trying all. */
    #[DataProvider('kinds')]
    public function test_no_more_is_asked_than_the_best_tree_of_questions_asks(string $kind, int $n): void
    {
        $space = (new ConnectionClasses($kind, self::MODES))->leads();
        $leaves = self::leaves(ChannelFinder::from($space, []), []);
        self::assertCount(count($space), $leaves, 'each class is reached, and told from every other');
        foreach ($space as $e) {
            self::assertSame($e, $leaves[implode(' ', $e->shows)][0]);
        }
        $deepest = max([0, ...array_column($leaves, 1)]);
        $signatures = array_map(static fn(Explanation $e): array => $e->shows, $space);
        self::assertSame(self::depth($signatures, range(0, $n - 1)), $deepest);
    }

    public function test_pixels_tell_their_order_and_their_fourth_channel(): void
    {
        foreach ([3, 4] as $n) {
            $space = ConnectionClasses::pixels($n);
            foreach (self::permutations(range(0, $n - 1)) as $order) {
                [$finder] = self::asked($space, static fn(int $c): int => 1 << $order[$c]);
                $way = $finder->found()?->ways[0];
                self::assertInstanceOf(Pixels::class, $way);
                self::assertSame([$order, false], [$way->order, $way->wrongKind]);
            }
            [$finder, $asked] = self::asked($space, static fn(): int => Pixels::MANY);
            self::assertTrue(($finder->found()?->ways[0] ?? null) instanceof Pixels);
            self::assertSame(1, $asked, 'several colours at once say it in one question');
        }
    }

    /** @return iterable<string, array{string, array<int, int>, string, list<string>}> lit by the colour commanded; verdict; moves among those told */
    public static function worked(): iterable
    {
        yield 'as it should' => ['rgbw', [1, 2, 4, 8], 'Every colour lights as commanded.', []];
        yield 'blue and white exchanged, red loose' => [
            'rgbw',
            [0, 2, 8, 4],
            'Blue and white are exchanged, red is loose.',
            ['Move the lead in output blue to output white.', 'Seat the lead of red at both ends.'],
        ];
        yield 'three in a round' => [
            'rgb',
            [2, 4, 1],
            'Red, green and blue each sit one output on.',
            ['Move the lead in output red to output green.'],
        ];
        yield 'green and blue touch' => [
            'rgb',
            [1, 6, 6],
            'Green and blue touch.',
            ['Part the leads in outputs green and blue.'],
        ];
        yield 'the switch left at tunable white, red loose' => [
            'rgbw',
            [2, 2, 2, 2],
            'The switch is left at tunable white, red is loose.',
            ['Set the switch to RGBW, then test the colours again: the leads cannot be identified before.'],
        ];
        yield 'the switch at single colour' => ['rgbw', [15, 15, 15, 15], 'The switch is left at single colour.', []];
        yield 'a loose lead in the wrong output' => [
            'rgb',
            [0, 1, 4],
            'The lead of red is in output green, green is loose.',
            [
                'Move the lead in output green to output red.',
                'Seat the lead of green: it is loose at output red and belongs in output green.',
            ],
        ];
        yield 'nothing at all' => [
            'rgbw',
            [0, 0, 0, 0],
            'Nothing lights: the common lead is loose or swapped with another, the strip has its common on the other side, or there is no voltage.',
            ['Measure the volts at the strip’s first pads, + against each return.'],
        ];
    }

    /**
     * @param  array<int, int>  $lit
     * @param  list<string>  $moves
     */
    #[DataProvider('worked')]
    public function test_describes_the_fault_and_the_lead_to_move(
        string $kind,
        array $lit,
        string $verdict,
        array $moves,
    ): void {
        $names = array_slice(['red', 'green', 'blue', 'white'], 0, count($lit));
        [$finder] = self::asked(
            (new ConnectionClasses($kind, self::MODES))->leads(),
            static fn(int $c): int => $lit[$c],
        );
        $found = $finder->found();
        self::assertNotNull($found);
        $words = new LeadWords($names, $kind);
        self::assertSame($verdict, $words->verdict($found));
        self::assertSame([], array_diff($moves, $words->moves($found)));
    }

    public function test_answers_that_contradict_each_other_leave_nothing(): void
    {
        $finder = ChannelFinder::from((new ConnectionClasses('rgb', []))->leads(), [0 => 1, 1 => 1, 2 => 1]);
        self::assertSame([], $finder->left);
        self::assertNull($finder->found());
        self::assertNull($finder->next());
    }

    /** Effect of a wrong switch on a strip of two whites, by the documented fallbacks (common practice, no source). */
    public function test_two_whites_behind_a_wrong_switch(): void
    {
        $way = static fn(string $setting): array => array_map(
            static fn(int $c): int => (new LeadConnection(order: [0, 1], setting: $setting))->shows($c, 'tunable'),
            [0, 1],
        );
        self::assertSame([3, 3], $way('single'));
        self::assertSame([3, 3], $way('rgb'), 'white is mixed of all three, two of which have leads');
        self::assertSame([0, 0], $way('rgbw'), 'the white output has no lead');
    }

    /**
     * @param  list<Explanation>  $space
     * @param  callable(int): int  $light
     * @return array{ChannelFinder, int} the finder at its end, and how often it asked
     */
    private static function asked(array $space, callable $light): array
    {
        $seen = [];
        $finder = ChannelFinder::from($space, $seen);
        while (($next = $finder->next()) !== null) {
            self::assertArrayNotHasKey($next, $seen);
            $seen[$next] = $light($next);
            $finder = ChannelFinder::from($space, $seen);
        }

        return [$finder, count($seen)];
    }

    /**
     * The finder's own tree of questions, walked to every leaf.
     *
     * @param  array<int, int>  $seen
     * @return array<string, array{Explanation, int}> the class that is found by what it shows, and how often was asked
     */
    private static function leaves(ChannelFinder $finder, array $seen): array
    {
        $found = $finder->found();
        if ($found !== null) {
            return [implode(' ', $found->shows) => [$found, count($seen)]];
        }
        $next = $finder->next();
        self::assertNotNull($next);
        self::assertArrayNotHasKey($next, $seen);
        $leaves = [];
        foreach (array_unique(array_map(static fn(Explanation $e): int => $e->shows[$next], $finder->left)) as $lit) {
            $leaves += self::leaves(
                ChannelFinder::from($finder->left, $seen + [$next => $lit]),
                $seen + [$next => $lit],
            );
        }

        return $leaves;
    }

    /**
     * Depth of the best tree: the fewest questions that tell all apart at worst.
     *
     * @param  list<list<int>>  $signatures
     * @param  list<int>  $questions
     */
    private static function depth(array $signatures, array $questions): int
    {
        if (count($signatures) < 2) {
            return 0;
        }
        $best = PHP_INT_MAX;
        foreach ($questions as $q) {
            $parts = [];
            foreach ($signatures as $s) {
                $parts[$s[$q]][] = $s;
            }
            if (count($parts) === 1) {
                continue;
            }
            $worst = 0;
            foreach ($parts as $part) {
                $worst = max($worst, self::depth($part, array_values(array_diff($questions, [$q]))));
                if ($worst + 1 >= $best) {
                    break;
                }
            }
            $best = min($best, $worst + 1);
        }

        return $best;
    }

    /**
     * @param  list<int>  $of
     * @return iterable<list<int>>
     */
    private static function permutations(array $of): iterable
    {
        if (count($of) < 2) {
            yield $of;

            return;
        }
        foreach ($of as $k => $first) {
            $rest = $of;
            unset($rest[$k]);
            foreach (self::permutations(array_values($rest)) as $more) {
                yield [$first, ...$more];
            }
        }
    }

    /** @return list<list<int>> */
    private static function subsets(int $n, int $most): array
    {
        $sets = [];
        for ($bits = 0; $bits < 1 << $n; $bits++) {
            $set = array_values(array_filter(range(0, $n - 1), static fn(int $k): bool => (($bits >> $k) & 1) === 1));
            if (count($set) <= $most) {
                $sets[] = $set;
            }
        }

        return $sets;
    }
}
