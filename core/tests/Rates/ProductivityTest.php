<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Rates;

use EmberDusk\Rates\Productivity;
use EmberDusk\Rates\Work;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The crew's own minutes: means and ranges by hand, the table of t against the integral of its density. */
final class ProductivityTest extends TestCase
{
    /**
     * @param  list<int>  $taken  minutes, of thirty by the table
     */
    private static function productivity(array $taken, string $kind = 'stick'): Productivity
    {
        return Productivity::from(
            array_map(static fn(int $t): array => ['kind' => $kind, 'table' => 30.0, 'taken' => $t], $taken),
        );
    }

    public function test_two_steps_are_too_few_to_leave_the_table(): void
    {
        $productivity = self::productivity([60, 60]);
        self::assertSame(
            [[], 40.0, [28, 60]],
            [$productivity->kinds, 40 * $productivity->factor(Work::Stick), $productivity->range(Work::Stick, 40)],
        );
        self::assertSame(
            1.0,
            self::productivity([60, 60, 60])->factor(Work::Seal),
            'another kind is as the table says',
        );
    }

    public function test_the_middle_is_the_geometric_mean(): void
    {
        // 15, 30 and 60 minutes for thirty: half, once, twice. Their arithmetic mean would be 1.17.
        $productivity = self::productivity([15, 30, 60]);
        self::assertEqualsWithDelta(1.0, $productivity->kinds['stick']['factor'], 1e-12);
        self::assertEqualsWithDelta(1.0, $productivity->factor(Work::Stick), 1e-12);
        self::assertSame(3, $productivity->kinds['stick']['count']);
        // Spread ln 2, t of two degrees 1.886, times the root of four thirds.
        self::assertEqualsWithDelta(exp(log(2) * 1.886 * sqrt(4 / 3)), $productivity->kinds['stick']['high'], 1e-9);
        self::assertEqualsWithDelta(
            1.0,
            $productivity->kinds['stick']['low'] * $productivity->kinds['stick']['high'],
            1e-9,
        );
    }

    public function test_a_steady_crew_has_a_narrow_range_and_minutes_round_to_fives(): void
    {
        $productivity = self::productivity([33, 33, 33, 33]);
        self::assertSame(
            [45, [44, 44]],
            [Productivity::fives(40 * $productivity->factor(Work::Stick)), $productivity->range(Work::Stick, 40)],
            '44 minutes, told in fives; the range as it is',
        );
        self::assertSame([5, 5, 10], [Productivity::fives(0.0), Productivity::fives(5.0), Productivity::fives(5.1)]);
    }

    public function test_more_steps_make_the_range_narrower(): void
    {
        $few = self::productivity([20, 30, 45]);
        $many = self::productivity([20, 30, 45, 20, 30, 45, 20, 30, 45, 20, 30, 45]);
        self::assertLessThan($few->kinds['stick']['high'], $many->kinds['stick']['high']);
        self::assertEqualsWithDelta($few->kinds['stick']['factor'], $many->kinds['stick']['factor'], 1e-12);
    }

    public function test_steps_without_minutes_count_nothing(): void
    {
        self::assertSame(
            [],
            Productivity::from([
                ['kind' => 'stick', 'table' => 0.0, 'taken' => 10],
                ['kind' => 'stick', 'table' => 30.0, 'taken' => 0],
                ['kind' => 'stick', 'table' => 30.0, 'taken' => 30],
                ['kind' => 'stick', 'table' => 30.0, 'taken' => 30],
            ])->kinds,
        );
    }

    /** @return iterable<string, array{int, float}> */
    public static function quantiles(): iterable
    {
        foreach (
            [
                2 => 1.886,
                3 => 1.638,
                4 => 1.533,
                5 => 1.476,
                6 => 1.44,
                7 => 1.415,
                8 => 1.397,
                9 => 1.383,
                10 => 1.372,
                12 => 1.356,
                15 => 1.341,
                20 => 1.325,
                30 => 1.31,
                60 => 1.296,
                120 => 1.289,
            ]
            as $freedom => $t
        ) {
            yield "{$freedom} degrees" => [$freedom, $t];
        }
    }

    /** Nine tenths of the density are below the printed value; the half up to 0 is known. */
    #[DataProvider('quantiles')]
    public function test_the_table_of_t_is_the_integral_of_its_density(int $freedom, float $t): void
    {
        // Gamma((n+1)/2) / Gamma(n/2) grows by (n+1)/n from n to n+2.
        $ratio = $freedom % 2 === 0 ? sqrt(M_PI) / 2 : 1 / sqrt(M_PI);
        for ($n = $freedom % 2 === 0 ? 2 : 1; $n < $freedom; $n += 2) {
            $ratio *= ($n + 1) / $n;
        }
        $density = static fn(float $x): float => ($ratio / sqrt($freedom * M_PI)) *
            (1 + ($x * $x) / $freedom) ** (-($freedom + 1) / 2);
        $sum = $density(0.0) + $density($t);
        for ($k = 1; $k < 400; $k++) {
            $sum += ($k % 2 === 1 ? 4 : 2) * $density(($k * $t) / 400);
        }
        self::assertEqualsWithDelta(0.9, 0.5 + ($sum * $t) / 1200, 2e-4);
        // The class uses it: the range of so many alike pairs follows from it.
        $taken = array_merge(...array_fill(0, (int) ceil(($freedom + 1) / 2), [20, 45]));
        $taken = array_slice($taken, 0, $freedom + 1);
        $logs = array_map(static fn(int $m): float => log($m / 30), $taken);
        $mean = array_sum($logs) / count($logs);
        $spread = sqrt(array_sum(array_map(static fn(float $l): float => ($l - $mean) ** 2, $logs)) / $freedom);
        self::assertEqualsWithDelta(
            $mean + $t * $spread * sqrt(1 + 1 / count($logs)),
            log(self::productivity($taken)->kinds['stick']['high']),
            1e-9,
        );
    }
}
