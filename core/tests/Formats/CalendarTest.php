<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Formats;

use EmberDusk\Formats\Calendar;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;

/** iCalendar by RFC 5545, read back by another reader: any text is preserved exactly. */
final class CalendarTest extends TestCase
{
    /** @return array{uid: string, from: string, to: string, title: string, text: string, place: string} */
    private static function event(string $title, string $text = '', string $place = 'Room'): array
    {
        return [
            'uid' => 'a@ember-dusk.invalid',
            'from' => '20261130T080000',
            'to' => '20261130T093000',
            'title' => $title,
            'text' => $text,
            'place' => $place,
        ];
    }

    private static function read(string $text): VCalendar
    {
        $calendar = Reader::read($text);
        self::assertInstanceOf(VCalendar::class, $calendar);

        return $calendar;
    }

    /** @return iterable<string, array{string}> */
    public static function words(): iterable
    {
        yield 'plain' => ['Cove: dry run'];
        yield 'commas and semicolons' => ['Drill, screwdriver; labels, all of them'];
        yield 'a backslash' => ['C:\\n is no new line'];
        yield 'lines' => ["First.\nSecond, with a comma.\nThird"];
        yield 'letters of two and three bytes' => [str_repeat('Ω’é°µ ', 60)];
        yield 'letters of four bytes' => [str_repeat('🔧', 50)];
        yield 'a colon and quotes' => ['"Cove": BEGIN:VEVENT'];
        yield 'longer than many lines' => [str_repeat('x', 1000)];
        yield 'one letter over a line' => [str_repeat('y', 75 - strlen('SUMMARY:')) . 'é'];
    }

    #[DataProvider('words')]
    public function test_words_come_back_to_the_letter(string $words): void
    {
        $text = Calendar::write([self::event($words, $words, $words)], '20261125T120000Z', 3);
        [$event] = array_values(self::read($text)->select('VEVENT'));
        self::assertSame(
            [$words, $words, $words],
            [(string) $event->SUMMARY, (string) $event->DESCRIPTION, (string) $event->LOCATION],
        );
    }

    #[DataProvider('words')]
    public function test_no_line_has_more_than_75_bytes_and_no_letter_is_torn(string $words): void
    {
        $text = Calendar::write([self::event($words, $words)], '20261125T120000Z', 3);
        self::assertStringEndsWith("END:VCALENDAR\r\n", $text);
        self::assertSame(substr_count($text, "\r\n"), substr_count($text, "\n"), 'lines end as the RFC says');
        foreach (explode("\r\n", $text) as $line) {
            self::assertLessThanOrEqual(75, strlen($line));
            self::assertTrue(mb_check_encoding($line, 'UTF-8'), $line);
        }
    }

    public function test_control_characters_never_reach_a_calendar(): void
    {
        $text = Calendar::write(
            [self::event("Co\x00ve\x07\x1b[31m", "One\r\nTwo\rThree\tfour\x7f")],
            '20261125T120000Z',
            3,
        );
        self::assertSame(0, preg_match('/[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]/', $text));
        [$event] = array_values(self::read($text)->select('VEVENT'));
        self::assertSame(
            ['Cove[31m', "One\nTwo\nThree\tfour"],
            [(string) $event->SUMMARY, (string) $event->DESCRIPTION],
        );
    }

    public function test_times_are_the_readers_own(): void
    {
        $calendar = self::read(
            Calendar::write(
                [
                    self::event('One'),
                    ['from' => '20261201T080000', 'to' => '20261201T083000', 'uid' => 'b@ember-dusk.invalid'] +
                    self::event('Two'),
                ],
                '20261125T120000Z',
                3,
            ),
        );
        self::assertSame([], $calendar->validate());
        $events = array_values($calendar->select('VEVENT'));
        self::assertSame(
            ['2026-11-30 08:00', '2026-12-01 08:00'],
            array_map(static fn($e): string => $e->DTSTART->getDateTime()->format('Y-m-d H:i'), $events),
        );
        self::assertTrue($events[0]->DTSTART->isFloating());
        self::assertSame(
            90,
            ($events[0]->DTEND->getDateTime()->getTimestamp() - $events[0]->DTSTART->getDateTime()->getTimestamp()) /
                60,
        );
        self::assertNotSame((string) $events[0]->UID, (string) $events[1]->UID);
    }
}
