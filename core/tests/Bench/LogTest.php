<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\Log\BenchFacts;
use EmberDusk\Bench\Log\Calibration;
use EmberDusk\Bench\Log\DoubtfulReading;
use EmberDusk\Bench\Log\IslandIds;
use EmberDusk\Bench\Log\LogCsv;
use EmberDusk\Bench\Log\LogEntry;
use EmberDusk\Bench\Log\LogWords;
use EmberDusk\Bench\Log\ReadingEvidence;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpots;
use EmberDusk\Bench\SolvesNow;
use EmberDusk\Checks\Bench\Verdict;
use EmberDusk\Circuit\Conditions;
use EmberDusk\Circuit\Island;
use EmberDusk\Formats\Csv;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Range;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Readings and observations: which count, which are questioned, which a fix closes, and what good wiring shows about the job's rails. */
final class LogTest extends TestCase
{
    public function test_a_fix_closes_earlier_entries_at_its_place_only(): void
    {
        $plan = self::plan();
        $island = Island::all($plan)[0];
        $facts = new BenchFacts([
            self::entry('colour', 'shelf', 'colour:1', 2),
            self::entry('reading', 's1', 'full', 23.9),
            self::entry('mend', 'elsewhere', '', null),
            self::entry('count', 'shelf', 'count:96', 52),
        ]);
        $ids = IslandIds::for($plan, $island);
        self::assertSame(
            [[0 => 2], [[96, 52]], 1],
            [$facts->colours('shelf'), $facts->counts('shelf'), count($facts->readings($island, $ids))],
        );
        $mended = new BenchFacts([...$facts->entries, self::entry('mend', 'shelf', 'leads@shelf', null)]);
        self::assertSame(
            [[], [], []],
            [$mended->colours('shelf'), $mended->counts('shelf'), $mended->readings($island, $ids)],
        );
    }

    public function test_a_bench_remote_is_remembered_and_a_phone_that_stays_is_not(): void
    {
        $facts = new BenchFacts([
            self::entry('colour', 'shelf', 'colour:1', 1, by: 'remote'),
            self::entry('colour', 'cove', 'colour:1', 1, by: 'phone'),
            self::entry('colour', 'path', 'colour:1', 1, by: 'hub'),
        ]);
        self::assertSame(['shelf', 'path'], $facts->borrowed());
    }

    /** @return iterable<string, array{float, Range, float|null}> typed value, expected value, likely meaning; null without a doubt */
    public static function written(): iterable
    {
        $supply = new Range(23.7, 24.2);
        $joint = new Range(0.001, 0.0013);
        yield 'as it should' => [23.9, $supply, null];
        yield 'low is no slip' => [17.0, $supply, null];
        yield 'nothing at all is no slip' => [0.0, $supply, null];
        yield 'millivolts as volts' => [23900.0, $supply, 23.9];
        yield 'the other sign' => [-23.9, $supply, 23.9];
        yield 'another value of the other sign is no slip' => [-12.0, $supply, null];
        yield 'millivolts as volts the other way round' => [0.0239, $supply, 23.9];
        yield 'millivolts of a joint as volts' => [1.2, $joint, 0.0012];
        yield 'a bad joint is no slip' => [0.2, $joint, null];
        yield 'nor is one that reads five hundred times too much' => [0.552, $joint, null];
        yield 'a dead feed of no volts is no slip' => [0.0, $joint, null];
    }

    #[DataProvider('written')]
    public function test_a_slip_of_the_pen_is_asked_back(float $value, Range $expected, ?float $meant): void
    {
        $doubt = DoubtfulReading::from($value, 'V', $expected);
        if ($meant === null) {
            self::assertNull($doubt);
        } else {
            self::assertEqualsWithDelta($meant, $doubt?->meant, 1e-9);
            self::assertStringContainsString('?', (string) $doubt?->asks);
        }
    }

    public function test_doubted_or_obsolete_readings_are_kept_and_do_not_count_until_confirmed(): void
    {
        $plan = self::plan();
        $island = Island::all($plan)[0];
        $of = static fn(LogEntry ...$e): ReadingEvidence => ReadingEvidence::from(
            $plan,
            $island,
            new BenchFacts(array_values($e)),
            new SolvesNow(),
        );
        $doubted = $of(self::entry('reading', 's1', 'full', 12000.0));
        self::assertCount(1, $doubted->rows);
        self::assertNotNull($doubted->rows[0]->doubt);
        self::assertSame([[], Verdict::Open], [$doubted->readings(), Verdict::for($doubted->rows[0])]);
        $sure = $of(
            self::entry('reading', 's1', 'full', 12000.0),
            self::entry('reading', 's1', 'full', 12000.0, sure: true),
        );
        self::assertCount(1, $sure->readings());
        self::assertSame(Verdict::Outside, Verdict::for($sure->rows[1]));
        self::assertNull($sure->rows[0]->doubt, 'it was read again: nothing is asked any more');
        $gone = $of(self::entry('reading', 's1:amps', 'full', 0.3), self::entry('reading', 'k2:drop:9', 'full', 0.3));
        self::assertSame([true, false], [$gone->rows[0]->spot !== null, $gone->rows[1]->spot !== null]);
        self::assertCount(1, $gone->readings());
    }

    public function test_two_readings_that_differ_by_more_than_two_meters_may_are_asked_back(): void
    {
        $plan = self::plan();
        $island = Island::all($plan)[0];
        $low = $plan->supply('s1')->volts ?? 0.0;
        $of = static fn(float $second): ReadingEvidence => ReadingEvidence::from(
            $plan,
            $island,
            new BenchFacts([self::entry('reading', 's1', 'full', $low), self::entry('reading', 's1', 'full', $second)]),
            new SolvesNow(),
        );
        self::assertNull($of($low - 0.1)->rows[1]->against);
        self::assertSame($low, $of($low - 2.5)->rows[1]->against?->value);
        self::assertCount(1, $of($low - 2.5)->readings(), 'the last one counts');
    }

    /** Verdicts by hand: the band is base ± rails ± supply; within the meter's own error of it is doubtful. */
    public function test_inside_doubtful_outside(): void
    {
        $plan = self::plan();
        $island = Island::all($plan)[0];
        $row = static fn(float $value): Verdict => Verdict::for(
            ReadingEvidence::from(
                $plan,
                $island,
                new BenchFacts([self::entry('reading', 's1', 'full', $value, sure: true)]),
                new SolvesNow(),
            )->rows[0],
        );
        $range = ReadingEvidence::from(
            $plan,
            $island,
            new BenchFacts([self::entry('reading', 's1', 'full', 24.0)]),
            new SolvesNow(),
        )->rows[0]->range;
        self::assertNotNull($range);
        $meter = 0.005 * $range->low + 2 * 0.1;
        self::assertSame(
            [
                Verdict::Inside,
                Verdict::Inside,
                Verdict::Doubtful,
                Verdict::Outside,
                Verdict::Doubtful,
                Verdict::Outside,
            ],
            array_map($row, [
                $range->low + 0.001,
                $range->high - 0.001,
                $range->low - 0.9 * $meter,
                $range->low - 1.1 * $meter,
                $range->high + 0.9 * $meter,
                $range->high + 1.2 * $meter,
            ]),
        );
    }

    /** Rails 6 % thick and a supply 0.5 % high, read exactly at four places: both are found, and the bands get narrower. */
    public function test_readings_on_good_wiring_better_rails_and_supply(): void
    {
        $plan = JobFile::read(Demo::shipped('observatory'));
        $island = Island::for($plan, $plan->run('cove'));
        self::assertNotNull($island);
        $truth = new Conditions(0.94, 1.005);
        $circuit = \EmberDusk\Bench\Meter\BenchCircuit::for($plan, $island);
        $entries = [];
        foreach (['s1', 'cove:rail1', 'k2:drop:1', 'k2:to:1', 'cove@9.00:1'] as $id) {
            $spot = MeterSpots::named($plan, $island, $id);
            $entries[] = self::entry(
                'reading',
                $id,
                'full',
                $circuit->read([$spot], MeterCommand::full(), $truth)[$id],
            );
        }
        $evidence = ReadingEvidence::from($plan, $island, new BenchFacts($entries), new SolvesNow());
        self::assertNotNull($evidence->expected);
        self::assertNull(
            Calibration::from($evidence->expected, array_slice($evidence->readings(), 0, 1)),
            'one reading proves nothing',
        );
        $calibration = Calibration::from($evidence->expected, $evidence->readings());
        self::assertNotNull($calibration);
        self::assertLessThanOrEqual(0.95, $calibration->rails()->low);
        self::assertGreaterThanOrEqual(0.93, $calibration->rails()->high);
        self::assertLessThan(0.1, $calibration->rails()->high - $calibration->rails()->low, 'it was 0.2');
        self::assertTrue($calibration->rails()->low <= 0.94 && $calibration->rails()->high >= 0.94);
        $shelf = $evidence->expected->range('full cove:rail1');
        $now = $calibration->range('full cove:rail1');
        self::assertLessThan(0.5 * (($shelf->high ?? 0) - ($shelf->low ?? 0)), ($now->high ?? 0) - ($now->low ?? 0));
        // The soldered joint of 1 mohm, from its volts and its current.
        [$joint] = $calibration->joints();
        self::assertEqualsWithDelta(0.001, $joint['was'], 1e-9);
        self::assertTrue($joint['now']->low <= 0.001 && $joint['now']->high >= 0.001);
        $bad = ReadingEvidence::from(
            $plan,
            $island,
            new BenchFacts([...$entries, self::entry('reading', 'cove@0.00:1', 'full', 15.0)]),
            new SolvesNow(),
        );
        self::assertNull(
            Calibration::from($bad->expected ?? $evidence->expected, $bad->readings()),
            'not of good wiring',
        );
    }

    public function test_a_log_survives_csv_export_and_import(): void
    {
        $entries = [
            self::entry('reading', 'k2:drop:2', 'full', -0.0123),
            self::entry('colour', 'shelf', 'colour:2', 3, by: 'remote'),
            self::entry('remark', '', '', null, text: "=1+1, \"quoted\"\nand a second line"),
        ];
        $rows = array_map(
            static fn(LogEntry $e): array => [
                'at' => $e->at,
                'who' => $e->who,
                'kind' => $e->kind,
                'place' => $e->place,
                'command' => $e->command,
                'value' => $e->value === null ? '' : (string) $e->value,
                'text' => $e->text,
                'by' => $e->by,
                'sure' => $e->sure ? '1' : '0',
                'words' => 'as it was',
                'uuid' => $e->uuid,
            ],
            $entries,
        );
        $text = LogCsv::write([
            ...$rows,
            ['kind' => 'tick', 'at' => '2026-11-28T09:00:00.000Z', 'place' => 'dry-cove'],
        ]);
        self::assertStringContainsString("\"'=1+1", $text, 'no spreadsheet reckons it');
        $read = LogCsv::read($text, '2026-12-01T00:00:00.000Z');
        self::assertEquals($entries, $read['entries']);
        self::assertSame(1, $read['elsewhere']);
        $plain = Csv::write([
            ['at', 'kind', 'place', 'value', 'command'],
            ['2026-11-28 10:00', 'reading', 's1', '23,9', 'full'],
        ]);
        [$one] = LogCsv::read($plain, '2026-12-01T00:00:00.000Z')['entries'];
        [$two] = LogCsv::read($plain, '2026-12-01T00:00:00.000Z')['entries'];
        self::assertSame([$one->uuid, 23.9], [$two->uuid, $one->value], 'read in twice it is one');
    }

    /** @return iterable<string, array{string, string}> */
    public static function damaged(): iterable
    {
        $head = "at,kind,place,command,value\n";
        yield 'a column is missing' => ["at,place\n2026-11-28,s1\n", '“kind” is missing'];
        yield 'no time' => [$head . "soon,reading,s1,full,1\n", 'Line 2: “soon” is not a time'];
        yield 'no number' => [$head . "2026-11-28,reading,s1,full,much\n", 'Line 2: “much” is not a number.'];
        yield 'no kind' => [$head . "2026-11-28,guess,s1,full,1\n", 'Line 2: “guess” is not one of'];
        yield 'no place' => [$head . "2026-11-28,reading,S1 up,full,1\n", 'Line 2: “S1 up” is not a place'];
        yield 'nothing that can be commanded' => [
            $head . "2026-11-28,reading,s1,loud,1\n",
            'Line 2: “loud” is not a command',
        ];
        yield 'no value' => [$head . "2026-11-28,reading,s1,full,\n", 'Line 2: Enter what was read or seen'];
    }

    #[DataProvider('damaged')]
    public function test_a_damaged_log_is_refused_at_its_line(string $text, string $says): void
    {
        $this->expectException(InvalidInput::class);
        $this->expectExceptionMessage($says);
        LogCsv::read($text, '2026-12-01T00:00:00.000Z');
    }

    public function test_describes_entries_as_text(): void
    {
        $plan = self::plan();
        $say = static fn(LogEntry $e): string => (new LogWords($plan))->for($e);
        self::assertSame('S1, its terminals, at full: 23.9 V', $say(self::entry('reading', 's1', 'full', 23.94)));
        self::assertSame(
            'Shelf: warm white commanded alone, nothing lit',
            $say(self::entry('colour', 'shelf', 'colour:1', 0)),
        );
        self::assertSame('Shelf: 96 set, effects run off the end', $say(self::entry('count', 'shelf', 'count:96', -1)));
        self::assertSame('Shelf: fixed, joint', $say(self::entry('mend', 'shelf', '', null, text: 'joint')));
        self::assertSame('k9:drop:1: 0.2', $say(self::entry('reading', 'k9:drop:1', 'full', 0.2)));
        self::assertSame('Cold today', $say(self::entry('remark', '', '', null, text: 'Cold today')));
    }

    private static function plan(): Plan
    {
        return JobFile::read(Demo::shipped('hide'));
    }

    public static function entry(
        string $kind,
        string $place,
        string $command,
        ?float $value,
        string $text = '',
        string $by = '',
        bool $sure = false,
    ): LogEntry {
        static $n = 0;
        $n++;

        return new LogEntry(
            uuid: sprintf('%08x-0000-4000-8000-000000000000', $n),
            kind: $kind,
            place: $place,
            command: $command,
            value: $value,
            text: $text,
            by: $by,
            sure: $sure,
            at: sprintf('2026-11-28T09:%02d:%02d.000Z', intdiv($n, 60) % 60, $n % 60),
            who: 'One',
        );
    }
}
