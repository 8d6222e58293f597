<?php

declare(strict_types=1);

namespace Tests\Screens\Build;

use App\Screens\Build\BuildScreen;
use App\Screens\Build\StepCalendar;
use EmberDusk\Job\JobState;
use EmberDusk\Parts\Mark;
use EmberDusk\Plan\JobFile;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Pin;
use EmberDusk\Schedule\Tick;
use EmberDusk\Schedule\Visit;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\Responses;
use PHPUnit\Framework\TestCase;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;

/** The plan of work as iCalendar, read back by its own reader (RFC 5545). */
final class StepCalendarTest extends TestCase
{
    public function test_the_calendar_is_read_back_by_another_reader(): void
    {
        $state = new JobState(
            JobFile::read(Demo::file('observatory')),
            [],
            Demo::shelf(),
            [],
            marks: ['cable-3x15' => new Mark('ordered', '2026-12-02')],
            today: '2026-11-27',
            arrangement: new Arrangement([new Visit('2026-11-27', 0, 2)]),
            ticks: ['isolate-lecture' => new Tick('isolate-lecture', 12, '2026-11-27 08:12')],
        );
        Responses::check(BuildScreen::picture($state), 'buildPicture');
        $text = StepCalendar::calendar($state, 'job1@firm.example', 1_795_608_000);
        foreach (explode("\r\n", $text) as $line) {
            self::assertLessThanOrEqual(75, strlen($line));
        }
        $calendar = Reader::read($text);
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());
        $slots = BuildScreen::picture($state)->write()['slots'];
        self::assertIsArray($slots);
        $events = $calendar->select('VEVENT');
        self::assertCount(count($slots), $events, 'no step goes on the next day here');
        foreach (array_values($events) as $n => $event) {
            self::assertSame($slots[$n]['title'], (string) $event->SUMMARY);
            self::assertSame(
                $slots[$n]['day'] . sprintf(' %02d:%02d', 8 + intdiv($slots[$n]['from'], 60), $slots[$n]['from'] % 60),
                $event->DTSTART->getDateTime()->format('Y-m-d H:i'),
            );
        }
        self::assertSame(
            [['3 x 1.5 mm² flexible, comes 2026-12-02']],
            array_values(array_filter(array_column($slots, 'waits'))),
        );
    }

    public function test_taken_in_twice_after_a_move_a_calendar_has_each_step_once(): void
    {
        $state = static fn(Arrangement $arrangement): JobState => new JobState(
            JobFile::read(Demo::file('observatory')),
            [],
            Demo::shelf(),
            [],
            today: '2026-11-27',
            arrangement: $arrangement,
        );
        $before = new Arrangement([new Visit('2026-11-30', 0, 1)]);
        $after = $before->moved('tidy-lecture', new Pin('tidy-lecture', '2026-12-16', 60, 0));
        $kept = [];
        foreach (
            [[$before, 1_795_608_000], [$after, 1_795_608_060], [$before, 1_795_607_000]]
            as [$arrangement, $moment]
        ) {
            $calendar = Reader::read(StepCalendar::calendar($state($arrangement), 'job1@firm.example', $moment));
            self::assertInstanceOf(VCalendar::class, $calendar);
            self::assertSame([], $calendar->validate());
            // As RFC 5545, 3.8.7.4 says: of one UID the higher sequence holds.
            foreach ($calendar->select('VEVENT') as $event) {
                $uid = (string) $event->UID;
                if (!isset($kept[$uid]) || (int) (string) $event->SEQUENCE > (int) (string) $kept[$uid]->SEQUENCE) {
                    $kept[$uid] = $event;
                }
            }
        }
        $slots = BuildScreen::picture($state($after))->write()['slots'];
        self::assertIsArray($slots);
        self::assertSameSize(array_unique(array_column($slots, 'id')), $kept, 'no double');
        self::assertSame(
            '2026-12-16 09:00',
            $kept['tidy-lecture.job1@firm.example']->DTSTART->getDateTime()->format('Y-m-d H:i'),
            'where it was moved, whichever was taken in last',
        );
    }

    public function test_a_step_of_several_days_is_one_event_that_names_them(): void
    {
        // A crew that solders ten times as slowly: 19 joints are more than two days.
        $productivity = Productivity::from(array_fill(0, 3, ['kind' => 'joints', 'table' => 10, 'taken' => 100]));
        $state = new JobState(
            JobFile::read(Demo::file('observatory')),
            [],
            Demo::shelf(),
            [],
            today: '2026-11-27',
            arrangement: new Arrangement([new Visit('2026-11-30', 0, 1)]),
            productivity: $productivity,
        );
        $slots = array_values(
            array_filter(
                (array) BuildScreen::picture($state)->write()['slots'],
                static fn(mixed $s): bool => is_array($s) && $s['id'] === 'joints-cove',
            ),
        );
        self::assertGreaterThan(1, count($slots));
        $calendar = Reader::read(StepCalendar::calendar($state, 'job1@firm.example', 1_795_608_000));
        self::assertInstanceOf(VCalendar::class, $calendar);
        $events = array_values(
            array_filter(
                $calendar->select('VEVENT'),
                static fn(mixed $e): bool => (string) $e->UID === 'joints-cove.job1@firm.example',
            ),
        );
        self::assertCount(1, $events);
        $time = static fn(array $slot, string $end): string => $slot['day'] .
            sprintf(' %02d:%02d', 8 + intdiv($slot[$end], 60), $slot[$end] % 60);
        self::assertSame(
            [$time($slots[0], 'from'), $time($slots[count($slots) - 1], 'to')],
            [
                $events[0]->DTSTART->getDateTime()->format('Y-m-d H:i'),
                $events[0]->DTEND->getDateTime()->format('Y-m-d H:i'),
            ],
        );
        self::assertStringContainsString('Over ' . count($slots) . ' days: ', (string) $events[0]->DESCRIPTION);
    }
}
