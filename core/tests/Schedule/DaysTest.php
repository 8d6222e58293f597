<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Schedule;

use DateInterval;
use DatePeriod;
use DateTimeImmutable;
use EmberDusk\Formats\Fields;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Day;
use EmberDusk\Schedule\Days;
use EmberDusk\Schedule\Timetable;
use EmberDusk\Schedule\Visit;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Days of work and times of the clock against a calendar that is walked day by day here. */
final class DaysTest extends TestCase
{
    /**
     * The days of work by going through the calendar: a visit takes the days that are left of it, the last one without an end.
     *
     * @param  non-empty-list<Visit>  $visits
     * @return list<array{string, int, int|null}>
     */
    private static function walked(array $visits, bool $weekends, string $today, int $count): array
    {
        $found = [];
        $used = array_fill(0, count($visits), 0);
        foreach (new DatePeriod(new DateTimeImmutable($visits[0]->from), new DateInterval('P1D'), 400) as $date) {
            $day = $date->format('Y-m-d');
            if (!$weekends && in_array($date->format('D'), ['Sat', 'Sun'], true)) {
                continue;
            }
            $begun = array_keys(array_filter($visits, static fn(Visit $v): bool => $v->from <= $day));
            $current = $begun === [] ? 0 : max($begun);
            $used[$current]++;
            $inside = $visits[$current]->days === 0 || $used[$current] <= $visits[$current]->days;
            if ($day >= $today && ($inside || $current === count($visits) - 1)) {
                $found[] = [$day, $visits[$current]->people, $inside ? $current : null];
            }
            if (count($found) === $count) {
                break;
            }
        }

        return $found;
    }

    public function test_random_visits_are_walked_day_by_day(): void
    {
        mt_srand(41);
        for ($case = 0; $case < 80; $case++) {
            $from = new DateTimeImmutable('2026-11-' . mt_rand(10, 30));
            $visits = [];
            for ($n = 0; $n < mt_rand(1, 4); $n++) {
                $from = $from->modify('+' . mt_rand(1, 12) . ' days');
                $visits[] = new Visit($from->format('Y-m-d'), mt_rand(0, 4), mt_rand(1, 2));
            }
            $weekends = mt_rand(0, 1) === 1;
            $today = (new DateTimeImmutable('2026-11-15'))->modify('+' . mt_rand(0, 30) . ' days')->format('Y-m-d');
            $days = Days::for(new Arrangement($visits, $weekends), $today);
            foreach (self::walked($visits, $weekends, $today, 15) as $n => $expected) {
                self::assertSame(
                    $expected,
                    [$days->date($n), $days->people($n), $days->visit($n)],
                    "case {$case}, day {$n}",
                );
                self::assertSame($n, $days->number($expected[0]), "case {$case}");
                self::assertSame($n, $days->on($expected[0]), "case {$case}");
            }
        }
    }

    /** Working minutes map to the clock and back; curing follows the clock. */
    public function test_work_and_clock_agree_both_ways(): void
    {
        $days = Days::for(new Arrangement([new Visit('2026-11-26', 2, 1), new Visit('2026-12-03')]), '2026-11-26');
        for ($minute = 1; $minute < 6 * Timetable::DAY; $minute += 7) {
            $clock = new DateTimeImmutable($days->clock($minute));
            self::assertGreaterThanOrEqual('08:00', $clock->format('H:i'));
            self::assertLessThanOrEqual('16:00', $clock->format('H:i'));
            self::assertSame(
                $minute,
                $days->minute($clock->format('Y-m-d'), 60 * (int) $clock->format('H') + (int) $clock->format('i')),
            );
            $starts = new DateTimeImmutable($days->starts($minute));
            self::assertTrue(
                $starts >= $clock && ($minute % Timetable::DAY === 0 || $starts == $clock),
                (string) $minute,
            );
            foreach ([15, 120, 480, 1440, 4000] as $wait) {
                $cured = $days->cured($minute, $wait);
                self::assertGreaterThanOrEqual(
                    $clock->modify("+{$wait} minutes"),
                    new DateTimeImmutable($days->starts($cured)),
                    "{$minute} and {$wait}",
                );
                // And not a day of work later than it has to be: the minute before it had not.
                self::assertLessThan(
                    $clock->modify("+{$wait} minutes"),
                    new DateTimeImmutable($days->clock($cured - 1)),
                    "{$minute} and {$wait}",
                );
            }
        }
    }

    /** @return iterable<string, array{mixed}> */
    public static function noDays(): iterable
    {
        foreach (
            ['', 'soon', '2026-13-01', '2026-02-29', '26-01-01', '2026-1-1', '1999-12-31', '3000-01-01', ' 2026-01-01']
            as $day
        ) {
            yield "“{$day}”" => [$day];
        }
    }

    #[DataProvider('noDays')]
    public function test_refuses_an_invalid_date(mixed $day): void
    {
        $this->expectException(Refusal::class);
        Day::read(new Fields(['day' => $day]), 'day');
    }

    public function test_days_in_words_and_over_the_turn_of_a_year(): void
    {
        self::assertSame(
            ['2027-01-01', '2026-12-30', '2028-02-29'],
            [Day::after('2026-12-31'), Day::after('2026-12-31', -1), Day::after('2028-02-28')],
        );
        self::assertSame(
            ['Thu 31 Dec', true, false],
            [Day::words('2026-12-31'), Day::weekend('2027-01-02'), Day::weekend('2027-01-04')],
        );
        self::assertSame('2028-02-29', Day::read(new Fields(['day' => '2028-02-29']), 'day'));
    }
}
