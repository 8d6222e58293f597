<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Event;
use EmberDusk\Joining\EventWords;
use EmberDusk\Joining\Observation;
use PHPUnit\Framework\TestCase;

final class EventTest extends TestCase
{
    public function test_reads_and_writes_answers_as_older_logs_and_outboxes_have_them(): void
    {
        $saw = Event::read(4.5, 'saw', 'c1', 'accept r1 c1/accept|dim');
        self::assertSame(
            ['accept', 'r1', 'c1', 'accept', Observation::Dim, ''],
            [
                $saw->step?->what(),
                $saw->step?->device(),
                $saw->step?->other(),
                $saw->step?->kind,
                $saw->seen,
                $saw->text,
            ],
        );
        self::assertSame('C1 by R1: dull', EventWords::for($saw));
        $mended = Event::read(5.0, 'mended', 'c1', 'wrong-setting|yes');
        self::assertSame(['wrong-setting', true], [$mended->text, $mended->wasSo]);
        self::assertSame('C1: wrong setting, fixed', EventWords::for($mended));
        self::assertSame(
            'C1: wrong setting? No',
            EventWords::for(Event::read(5.0, 'mended', 'c1', 'wrong-setting|no')),
        );
        self::assertSame('join c1 h1/reset', Event::read(6.0, 'done', 'c1', 'join c1 h1/reset')->step?->key());
        foreach (
            [
                ['saw', 'accept r1 c1/accept|dim'],
                ['mended', 'wrong-setting|yes'],
                ['mended', 'dead|no'],
                ['done', 'join c1 h1/reset'],
                ['found', 'Light 1 | shelf'],
                ['named', 'Cove, Hall'],
                ['press', 'JOIN'],
            ]
            as [$kind, $text]
        ) {
            self::assertSame($text, Event::read(1.0, $kind, 'c1', $text)->written());
        }
    }

    public function test_takes_an_unknown_observation_for_none(): void
    {
        $event = Event::read(1.0, 'saw', 'c1', 'join c1 h1/reset|blue');
        self::assertNull($event->seen);
        self::assertSame('', EventWords::for($event));
    }
}
