<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Control;

use DateTimeImmutable;
use DateTimeZone;
use EmberDusk\Control\Agenda;
use EmberDusk\Control\Sun;
use EmberDusk\Control\SunDay;
use EmberDusk\Control\Year;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Position;
use EmberDusk\Plan\Scene;
use EmberDusk\Plan\Trigger;
use EmberDusk\Tests\Circuits;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The sun against an almanac, and the scenes it starts over a day and a year. */
final class SunTest extends TestCase
{
    /**
     * Published almanac values, from memory.
     *
     * @return iterable<string, array{float, float, string, string, string}> latitude, longitude, day, sunrise and sunset in UTC
     */
    public static function days(): iterable
    {
        yield '51.5 north in June' => [51.5, -0.12, '2026-06-21', '03:43', '20:21'];
        yield '51.5 north in December' => [51.5, -0.12, '2026-12-21', '08:04', '15:53'];
        yield '40 north in June' => [39.95, -75.17, '2026-06-21', '09:32', '00:33'];
        yield '33.9 south in December' => [-33.87, 151.2, '2026-12-21', '18:41', '09:05'];
    }

    #[DataProvider('days')]
    public function test_sunrise_and_sunset_of_an_almanac(
        float $latitude,
        float $longitude,
        string $day,
        string $rise,
        string $set,
    ): void {
        $sun = (new Sun(new Position($latitude, $longitude), 'UTC'))->on($day);
        $minutes = static fn(string $at): int => 60 * (int) substr($at, 0, 2) + (int) substr($at, 3);
        $off = static fn(?int $is, string $at): int => abs((((int) $is - $minutes($at) + 720 + 2880) % 1440) - 720);
        self::assertLessThanOrEqual(1, $off($sun->rise, $rise));
        self::assertLessThanOrEqual(1, $off($sun->set, $set));
    }

    /** Another library's sun (core/tests/Control/almanac.py) on some seventy days from 72 south to 72 north. */
    public function test_the_sun_of_another_library(): void
    {
        /** @var list<array{latitude: float, longitude: float, day: string, sun: array{float, float}|string}> $rows */
        $rows = json_decode((string) file_get_contents(__DIR__ . '/almanac.json'), true);
        self::assertGreaterThan(50, count($rows));
        foreach ($rows as $row) {
            $sun = (new Sun(new Position($row['latitude'], $row['longitude'], 'UTC'), 'UTC'))->on($row['day']);
            $at = "{$row['latitude']} {$row['day']}";
            if (is_string($row['sun'])) {
                self::assertSame($row['sun'] === 'up' ? SunDay::UP : SunDay::DOWN, $sun->why, $at);
            } else {
                self::assertEqualsWithDelta($row['sun'], [$sun->rise, $sun->set], 0.75, $at);
            }
        }
    }

    /** A site at 70 degrees north: no sunset in June, no sunrise in December. */
    public function test_far_north_the_sun_does_not_set_in_june(): void
    {
        $sun = new Sun(new Position(70.0, 25.0), 'UTC');
        self::assertEquals(new SunDay(null, null, SunDay::UP), $sun->on('2026-06-21'));
        self::assertEquals(new SunDay(null, null, SunDay::DOWN), $sun->on('2026-12-21'));
        self::assertSame(SunDay::UP, (new Sun(new Position(90.0, 0.0), 'UTC'))->on('2026-06-21')->why);
    }

    /** The clock changes by an hour in spring: the sun's minutes follow the local clock. */
    public function test_summer_time_moves_the_clock_and_not_the_sun(): void
    {
        $sun = new Sun(new Position(50.0, 10.0, self::middle()), 'UTC');
        $before = $sun->on('2026-03-28');
        $after = $sun->on('2026-03-29');
        self::assertEqualsWithDelta(60, $after->set - $before->set, 3);
        self::assertSame('18:', substr(Agenda::clock((int) $before->set), 0, 3));
    }

    /** A zone of the tz database that is an hour ahead in winter and two in summer. */
    private static function middle(): string
    {
        foreach (DateTimeZone::listIdentifiers() as $zone) {
            $hours = array_map(
                static fn(string $day): int => (new DateTimeImmutable($day, new DateTimeZone($zone)))->getOffset() /
                    3600,
                ['2026-01-01', '2026-03-28', '2026-03-30', '2026-07-01'],
            );
            if ($hours === [1, 1, 2, 2]) {
                return $zone;
            }
        }
        self::fail('The tz database has no such zone.');
    }

    /** @param  list<Trigger>  $triggers */
    private static function plan(?Position $position, array $triggers): Plan
    {
        return Circuits::simple()
            ->plan()
            ->with(
                scenes: ['e1' => new Scene('e1', 'Evening', levels: ['c1' => [1.0]])],
                triggers: array_combine(array_map(static fn(Trigger $t): string => $t->id, $triggers), $triggers),
                position: $position,
            );
    }

    public function test_a_day_in_its_order_and_what_does_not_start_on_it(): void
    {
        $plan = self::plan(new Position(54.0, 0.0, 'UTC'), [
            new Trigger('t1', Trigger::SUNSET, plays: 'e1', minutes: -30),
            new Trigger('t2', Trigger::CLOCK, plays: Trigger::NOTHING, minutes: 60 * 23 + 15),
            new Trigger('t3', Trigger::CLOCK, plays: 'e1', days: [6, 7], minutes: 60 * 7),
            new Trigger('t4', Trigger::PRESENCE, plays: 'e1'),
        ]);
        $said = static fn(string $day): array => array_map(
            static fn(array $e): string => Agenda::clock($e['minutes']) . ' ' . $e['trigger']->words(),
            Agenda::for($plan, $day, 'UTC')->entries,
        );
        // 2026-03-20 is a Friday; at the equinox the sun sets some minutes after six.
        self::assertCount(2, $said('2026-03-20'));
        self::assertMatchesRegularExpression('/^17:4\d 30 minutes before sunset$/', $said('2026-03-20')[0]);
        self::assertSame('23:15 at 23:15', $said('2026-03-20')[1]);
        self::assertSame('07:00 at 07:00', $said('2026-03-21')[0]);
        $nowhere = self::plan(null, [new Trigger('t1', Trigger::SUNSET, plays: 'e1')]);
        self::assertSame(
            'the location of the job is not set',
            Agenda::for($nowhere, '2026-03-20', 'UTC')->not[0]['why'],
        );
        self::assertSame(['23:50 the day before', '00:10 the day after'], [Agenda::clock(-10), Agenda::clock(1450)]);
    }

    /** At 60 north the sun sets after ten around midsummer: a light switched on by it then stays on all night. */
    public function test_a_year_in_which_the_sun_sets_after_the_lights_go_out(): void
    {
        $triggers = [
            new Trigger('t1', Trigger::SUNSET, plays: 'e1'),
            new Trigger('t2', Trigger::CLOCK, plays: Trigger::NOTHING, minutes: 60 * 22),
        ];
        $year = Year::for(self::plan(new Position(60.0, 15.0, self::middle()), $triggers), 2026, 'UTC');
        self::assertCount(1, $year->crossed);
        // Sunset at 60 north and 15 east by summer time passes 22:00 in the last days of May, and comes back in the middle of July.
        self::assertStringStartsWith('2026-05-2', $year->crossed[0]['first']);
        self::assertStringStartsWith('2026-07-1', $year->crossed[0]['last']);
        $north = Year::for(self::plan(new Position(70.0, 25.0, self::middle()), $triggers), 2026, 'UTC');
        self::assertSame([SunDay::DOWN, SunDay::UP], array_column($north->missed, 'why'));
        self::assertSame(
            [],
            Year::for(self::plan(new Position(30.0, 15.0, self::middle()), $triggers), 2026, 'UTC')->crossed,
        );
    }
}
