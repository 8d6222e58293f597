<?php

declare(strict_types=1);

namespace EmberDusk\Formats;

/** iCalendar after RFC 5545: CRLF, lines folded at 75 octets, text escaped. Times are local to the person who reads it. */
final readonly class Calendar
{
    private const FOLD = 74;

    /**
     * @param  int  $sequence  goes up from one writing to the next, so that a reader that has an event of the same UID takes the newer
     * @param  list<array{uid: string, from: string, to: string, title: string, text: string, place: string}>  $events  times as YYYYMMDDTHHMMSS
     */
    public static function write(array $events, string $stamp, int $sequence): string
    {
        $lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Ember Dusk//Build//EN', 'CALSCALE:GREGORIAN'];
        foreach ($events as $e) {
            array_push(
                $lines,
                'BEGIN:VEVENT',
                'UID:' . self::text($e['uid']),
                "DTSTAMP:{$stamp}",
                "SEQUENCE:{$sequence}",
                "DTSTART:{$e['from']}",
                "DTEND:{$e['to']}",
                'SUMMARY:' . self::text($e['title']),
                'LOCATION:' . self::text($e['place']),
                'DESCRIPTION:' . self::text($e['text']),
                'END:VEVENT',
            );
        }

        return implode("\r\n", array_map(self::folded(...), [...$lines, 'END:VCALENDAR'])) . "\r\n";
    }

    private static function text(string $text): string
    {
        // RFC 5545, 3.3.11: no control characters but tabs; an end of line is written as \n.
        $text = (string) preg_replace(
            '/[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]/',
            '',
            strtr($text, ["\r\n" => "\n", "\r" => "\n"]),
        );

        return strtr($text, ['\\' => '\\\\', ';' => '\\;', ',' => '\\,', "\n" => '\\n']);
    }

    private static function folded(string $line): string
    {
        $parts = [];
        while (strlen($line) > self::FOLD) {
            // No character is torn: UTF-8 goes on with bytes 10xxxxxx.
            for ($cut = self::FOLD; (ord($line[$cut]) & 0xc0) === 0x80; $cut--);
            $parts[] = substr($line, 0, $cut);
            $line = ' ' . substr($line, $cut);
        }

        return implode("\r\n", [...$parts, $line]);
    }
}
