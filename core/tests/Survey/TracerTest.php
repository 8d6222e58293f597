<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Survey;

use EmberDusk\Survey\Trace\Probe;
use EmberDusk\Survey\Trace\TracedLeg;
use EmberDusk\Survey\Trace\Tracer;
use EmberDusk\Survey\Trace\TraceResult;
use PHPUnit\Framework\TestCase;

/** The tracer against real cables: copper that is followed link by link, which knows nothing of how the tracer thinks. */
final class TracerTest extends TestCase
{
    /**
     * A tone is copper from one core to the other: out along a core, over a link at a far end, back along the other;
     * joined legs share their cores of one number somewhere on the way.
     *
     * @param  list<int>  $order  leg by end
     * @param  array<int, list<int>>  $broken  cores by leg, broken between the near end and any joint
     * @param  list<array{int, int}>  $joined
     * @param  list<TracedLeg>  $legs
     */
    private static function tone(Probe $probe, array $legs, array $order, array $broken, array $joined): bool
    {
        $leg = $order[$probe->end];
        $group = [$leg];
        foreach ($joined as [$a, $b]) {
            if (in_array($leg, [$a, $b], true)) {
                $group = [$a, $b];
            }
        }
        foreach ($group as $far) {
            $whole = array_intersect($probe->cores, [...$broken[$leg] ?? [], ...$broken[$far] ?? []]) === [];
            if ($whole && $legs[$far]->to !== null && (($probe->linked >> $far) & 1) === 1) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  non-empty-list<TracedLeg>  $legs
     * @param  list<int>  $order
     * @param  array<int, list<int>>  $broken
     * @param  list<array{int, int}>  $joined
     * @return array{TraceResult, list<array{Probe, bool}>}
     */
    private static function trace(array $legs, array $order, array $broken = [], array $joined = []): array
    {
        $answers = [];
        while (($next = (new Tracer($legs))->next($answers)) instanceof Probe) {
            $answers[] = [
                $next,
                self::tone(probe: $next, legs: $legs, order: $order, broken: $broken, joined: $joined),
            ];
            self::assertLessThan(400, count($answers), 'It does not end.');
        }

        return [$next, $answers];
    }

    /** @return non-empty-list<TracedLeg> */
    private static function legs(int $count, int $cores = 2): array
    {
        return array_map(
            static fn(int $n): TracedLeg => new TracedLeg(
                chr(65 + ($n % 26)) . ($n >= 26 ? '2' : ''),
                "place{$n}",
                $cores,
            ),
            range(0, $count - 1),
        );
    }

    /** @return list<int> */
    private static function shuffled(int $count): array
    {
        $order = range(0, $count - 1);
        shuffle($order);

        return $order;
    }

    /**
     * @param  list<TracedLeg>  $legs
     * @param  list<int>  $order
     * @return list<list<string>>
     */
    private static function truth(array $legs, array $order): array
    {
        return array_map(static fn(int $leg): array => [$legs[$leg]->name], $order);
    }

    public function test_identifies_sound_legs_in_any_order(): void
    {
        mt_srand(31);
        foreach ([1, 2, 3, 4, 5, 6, 7, 12, 23] as $count) {
            $legs = self::legs($count);
            for ($n = 0; $n < ($count > 5 ? 3 : 12); $n++) {
                $order = self::shuffled($count);
                [$findings] = self::trace($legs, $order);
                self::assertSame(self::truth($legs, $order), $findings->ends);
                self::assertSame(['traced'], array_values(array_unique($findings->found)));
            }
        }
    }

    public function test_a_broken_core_is_found_by_its_number(): void
    {
        mt_srand(32);
        foreach ([2, 4, 6, 9] as $count) {
            foreach ([1, 2, 3] as $core) {
                $legs = self::legs($count, 3);
                $order = self::shuffled($count);
                $leg = mt_rand(0, $count - 1);
                [$findings] = self::trace($legs, $order, [$leg => [$core]]);
                self::assertSame("traced, core {$core} broken", $findings->found[$legs[$leg]->name], "{$count} legs");
                self::assertSame(self::truth($legs, $order), $findings->ends);
                self::assertSame($count - 1, count(array_keys($findings->found, 'traced', true)));
            }
        }
        // Of two cores one side alone cannot show which one it is.
        $legs = self::legs(4);
        [$findings] = self::trace($legs, [2, 0, 3, 1], [3 => [1]]);
        self::assertSame('open', $findings->found['D']);
    }

    public function test_two_legs_joined_on_the_way_are_found(): void
    {
        mt_srand(33);
        foreach ([2, 3, 5, 6] as $count) {
            $legs = self::legs($count);
            $order = self::shuffled($count);
            $pair = array_slice(self::shuffled($count), 0, 2);
            sort($pair);
            [$findings] = self::trace($legs, $order, [], [[$pair[0], $pair[1]]]);
            [$a, $b] = [$legs[$pair[0]]->name, $legs[$pair[1]]->name];
            self::assertSame(
                ["traced, joined {$b}", "traced, joined {$a}"],
                [$findings->found[$a], $findings->found[$b]],
            );
            foreach ($order as $end => $leg) {
                self::assertSame(in_array($leg, $pair, true) ? [$a, $b] : [$legs[$leg]->name], $findings->ends[$end]);
            }
        }
    }

    public function test_a_break_and_a_joint_together_are_still_found(): void
    {
        $legs = self::legs(5, 3);
        [$findings] = self::trace($legs, [4, 2, 0, 3, 1], [0 => [2]], [[1, 3]]);
        self::assertSame(
            [
                'A' => 'traced, core 2 broken',
                'B' => 'traced, joined D',
                'C' => 'traced',
                'D' => 'traced, joined B',
                'E' => 'traced',
            ],
            array_map(static fn(string $f): string => $f, self::sorted($findings->found)),
        );
    }

    public function test_identifies_a_leg_with_an_unknown_end_last(): void
    {
        $legs = [...self::legs(3), new TracedLeg('X', null, 2)];
        [$findings] = self::trace($legs, [1, 3, 0, 2]);
        self::assertSame([['B'], ['X'], ['A'], ['C']], $findings->ends);
    }

    public function test_answers_that_contradict_each_other_end_without_a_result(): void
    {
        $legs = self::legs(3);
        $answers = [];
        while (($next = (new Tracer($legs))->next($answers)) instanceof Probe) {
            // Nothing ever answers.
            $answers[] = [$next, false];
        }
        self::assertSame([], $next->found);
    }

    /**
     * No way of asking is better in the worst case than the exhaustive search finds, and none is below the number of
     * bits: where nothing is wrong the tracer stays within one measurement of it.
     */
    public function test_it_needs_about_as_few_measurements_as_any_could(): void
    {
        $legs = self::legs(3);
        $cases = [];
        foreach ([[0, 1, 2], [0, 2, 1], [1, 0, 2], [1, 2, 0], [2, 0, 1], [2, 1, 0]] as $order) {
            $hears = array_map(static fn(int $leg): int => 1 << $leg, [0, 1, 2]);
            $faults = [$hears];
            foreach ([0, 1, 2] as $leg) {
                $faults[] = array_replace($hears, [$leg => 0]);
                $other = ($leg + 1) % 3;
                $faults[] = array_replace($hears, [
                    $leg => $hears[$leg] | $hears[$other],
                    $other => $hears[$leg] | $hears[$other],
                ]);
            }
            foreach ($faults as $masks) {
                $cases[implode(',', array_map(static fn(int $leg): int => $masks[$leg], $order))] = true;
            }
        }
        $best = self::worst(
            array_map(static fn(string $c): array => array_map(intval(...), explode(',', $c)), array_keys($cases)),
        );
        $most = 0;
        foreach ([[0, 1, 2], [0, 2, 1], [1, 0, 2], [1, 2, 0], [2, 0, 1], [2, 1, 0]] as $order) {
            $most = max($most, count(self::trace($legs, $order)[1]));
        }
        self::assertLessThanOrEqual($best + 1, $most);
        self::assertGreaterThanOrEqual((int) ceil(log(count($cases), 2)), $best);
    }

    /**
     * Fewest measurements in the worst case, by trying every question at every step.
     *
     * @param  list<list<int>>  $cases
     */
    private static function worst(array $cases, int $least = 99): int
    {
        if (count($cases) <= 1) {
            return 0;
        }
        for ($end = 0; $end < 3; $end++) {
            for ($linked = 1; $linked < 7; $linked++) {
                $yes = array_values(array_filter($cases, static fn(array $c): bool => ($c[$end] & $linked) !== 0));
                $no = array_values(array_filter($cases, static fn(array $c): bool => ($c[$end] & $linked) === 0));
                if ($yes === [] || $no === [] || (int) ceil(log(max(count($yes), count($no)), 2)) + 1 >= $least) {
                    continue;
                }
                $least = min($least, 1 + max(self::worst($yes, $least - 1), self::worst($no, $least - 1)));
            }
        }

        return $least;
    }

    /**
     * @param  array<string, string>  $found
     * @return array<string, string>
     */
    private static function sorted(array $found): array
    {
        ksort($found);

        return $found;
    }

    /** Conductors are linked at reachable far ends: one bit per leg, none for a leg with an unknown end. */
    public function test_only_legs_with_a_known_end_can_be_linked(): void
    {
        $legs = [new TracedLeg('A', 'hatch', 2), new TracedLeg('B', null, 2), new TracedLeg('C', 'bench', 3)];
        self::assertSame(0b101, (new Tracer($legs))->linkable());
        self::assertSame(0, (new Tracer([new TracedLeg('A', null, 2)]))->linkable());
    }
}
