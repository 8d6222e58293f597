<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Survey;

use EmberDusk\Survey\Trace\BinaryTracing;
use EmberDusk\Survey\Trace\Probe;
use EmberDusk\Survey\Trace\TracedLeg;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Many legs identified by binary numbers, against every order of them and against legs that are joined or broken. */
final class CodedTest extends TestCase
{
    /**
     * Asks until the tracer has heard enough; an end hears a tone when the far end of a leg that it is joined to is linked.
     *
     * @param  non-empty-list<TracedLeg>  $legs
     * @param  list<list<int>>  $hears  by end the legs that are on it; none is a broken one
     * @return array{list<int>|null, int} what each end hears as bits of legs, and how many times was measured
     */
    private static function heard(array $legs, array $hears): array
    {
        $answers = [];
        while (($next = BinaryTracing::heard($legs, $answers)) instanceof Probe) {
            $linked = array_filter(
                $hears[$next->end],
                static fn(int $leg): bool => (($next->linked >> $leg) & 1) === 1,
            );
            $answers[] = [$next, $linked !== []];
            self::assertLessThan(200, count($answers));
        }

        return [$next, count($answers)];
    }

    /** @return non-empty-list<TracedLeg> */
    private static function legs(int $count, int $loose = 0): array
    {
        $legs = [];
        for ($n = 0; $n < max(1, $count); $n++) {
            $legs[] = new TracedLeg(chr(65 + $n), $n < $count - $loose ? "far {$n}" : null, 2);
        }

        return $legs;
    }

    /** @return list<list<int>> every order of so many things */
    private static function orders(int $count): array
    {
        if ($count === 0) {
            return [[]];
        }
        $all = [];
        foreach (self::orders($count - 1) as $order) {
            for ($at = 0; $at < $count; $at++) {
                $all[] = [...array_slice($order, 0, $at), $count - 1, ...array_slice($order, $at)];
            }
        }

        return $all;
    }

    public function test_finds_every_order_of_five_legs(): void
    {
        $legs = self::legs(5);
        foreach (self::orders(5) as $order) {
            [$heard, $measured] = self::heard($legs, array_map(static fn(int $leg): array => [$leg], $order));
            self::assertSame(array_map(static fn(int $leg): int => 1 << $leg, $order), $heard);
            // Numbers to five have three bits: three rounds of five ends.
            self::assertSame(15, $measured);
        }
    }

    /** @return iterable<string, array{int, int}> */
    public static function counts(): iterable
    {
        foreach ([1 => 1, 3 => 2, 7 => 3, 8 => 4, 15 => 4, 16 => 5] as $legs => $rounds) {
            yield "{$legs} legs" => [$legs, $rounds];
        }
    }

    #[DataProvider('counts')]
    public function test_rounds_grow_as_the_bits_of_the_number(int $count, int $rounds): void
    {
        [$heard, $measured] = self::heard(
            self::legs($count),
            array_map(static fn(int $leg): array => [$leg], array_reverse(range(0, $count - 1))),
        );
        self::assertSame($rounds * $count, $measured);
        self::assertSame(array_map(static fn(int $leg): int => 1 << $leg, array_reverse(range(0, $count - 1))), $heard);
    }

    public function test_an_end_that_hears_nothing_is_broken_or_its_far_end_is_not_known(): void
    {
        [$heard] = self::heard(self::legs(4, 1), [[2], [], [0], [1]]);
        self::assertSame([1 << 2, 0, 1 << 0, 1 << 1], $heard);
    }

    public function test_two_legs_that_are_joined_are_heard_as_both(): void
    {
        // A and B are joined, numbers 1 and 2: both ends hear 3, which is C's number, and C hears it too.
        self::assertNull(
            self::heard(self::legs(4), [[0, 1], [0, 1], [2], [3]])[0],
            'it cannot be told from this, and says so',
        );
        // A and D, numbers 1 and 4: both hear 5, which is no leg's.
        [$heard] = self::heard(self::legs(4), [[0, 3], [1], [2], [0, 3]]);
        self::assertSame([(1 << 0) | (1 << 3), 1 << 1, 1 << 2, (1 << 0) | (1 << 3)], $heard);
    }

    /** Any joined pair of six legs: both are reported, or nothing is; never a wrong result. */
    public function test_a_joined_pair_is_never_told_wrong(): void
    {
        $told = 0;
        for ($a = 0; $a < 6; $a++) {
            for ($b = $a + 1; $b < 6; $b++) {
                $hears = array_map(
                    static fn(int $leg): array => in_array($leg, [$a, $b], true) ? [$a, $b] : [$leg],
                    range(0, 5),
                );
                [$heard] = self::heard(self::legs(6), $hears);
                if ($heard !== null) {
                    self::assertSame(
                        array_map(
                            static fn(array $on): int => array_sum(
                                array_map(static fn(int $leg): int => 1 << $leg, $on),
                            ),
                            $hears,
                        ),
                        $heard,
                        "{$a} and {$b}",
                    );
                    $told++;
                }
            }
        }
        self::assertGreaterThan(4, $told);
    }
}
