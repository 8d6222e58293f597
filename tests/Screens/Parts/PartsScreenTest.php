<?php

declare(strict_types=1);

namespace Tests\Screens\Parts;

use App\Screens\Parts\PartsScreen;
use App\Screens\Parts\PartsTables;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Parts\PartFindings;
use EmberDusk\Formats\Csv;
use EmberDusk\Job\JobState;
use EmberDusk\Parts\Mark;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\Responses;
use PHPUnit\Framework\TestCase;

final class PartsScreenTest extends TestCase
{
    public function test_marks_are_shown_counted_and_exported(): void
    {
        $plan = JobFile::read(Demo::file('observatory'));
        $state = new JobState(
            $plan,
            [],
            Demo::shelf(),
            [],
            marks: ['supply-24-240' => new Mark('ordered', '2026-11-20'), 'hub-zigbee' => new Mark('packed')],
            today: '2026-11-25',
        );
        Responses::check(PartsScreen::picture($state), 'partsPicture');
        self::assertSame(
            ['24 V supply, 10 A is overdue'],
            array_map(static fn($f): string => $f->title, (new PartFindings())->check(JudgedJob::for($state))),
        );
        $ledger = PartsScreen::ledger($state);
        self::assertSame(count(PartsList::for($plan, Demo::shelf())->parts) - 1, (int) $ledger[1]->value);
        [$header, $rows] = Csv::read(Csv::write(PartsTables::rows($state)));
        self::assertSame('part', $header[1]);
        $sum = array_sum(array_map(static fn(array $r): float => (float) $r[6], $rows));
        self::assertEqualsWithDelta($ledger[0]->value, $sum, 0.005);
        self::assertContains('packed', array_column($rows, 8));
    }
}
