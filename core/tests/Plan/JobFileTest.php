<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Formats\Json;
use EmberDusk\Plan\Changes\Splits\RejoinRun;
use EmberDusk\Plan\Document;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class JobFileTest extends TestCase
{
    public function test_a_written_file_reads_back_the_same(): void
    {
        foreach (['observatory', 'narrowboat'] as $name) {
            self::assertSame(Demo::file($name), JobFile::write(JobFile::read(Demo::file($name))));
        }
        $plan = Demo::with(
            Demo::plan(),
            ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'],
            ['kind' => 'NameLight', 'controller' => 'c1', 'name' => 'Cove', 'room' => 'Lecture room'],
        );
        self::assertEquals($plan, JobFile::read(JobFile::write($plan)));
    }

    /** Every released version is read for ever; this one was written by version 1 and is never changed. */
    public function test_version_one_is_read(): void
    {
        $plan = JobFile::read((string) file_get_contents(dirname(__DIR__) . '/golden/job-v1.json'));
        self::assertEqualsWithDelta(18.0, $plan->runs['cove']->length(), 1e-9);
        self::assertSame('3.2', (string) $plan->cables['k2']->length);
        // Fields missing in version 1 have their defaults, and the newest version is written.
        self::assertSame(
            ['metric', 4.0, [], ''],
            [$plan->terms->length, $plan->terms->hoursADay, $plan->runs['cove']->mounting, $plan->runs['cove']->light],
        );
        self::assertStringContainsString('"version": 12', JobFile::write($plan));
    }

    /** Written by the last program of version 2; it grew while it was the newest, so one from its first day is read as well. */
    public function test_version_two_is_read_from_its_first_day_to_its_last(): void
    {
        $text = (string) file_get_contents(dirname(__DIR__) . '/golden/job-v2.json');
        $plan = JobFile::read($text);
        self::assertSame(
            [0.15, 0.2, [], []],
            [$plan->terms->markUp, $plan->terms->tax, $plan->terms->rates, $plan->makings],
        );
        self::assertSame(6, $plan->fixtures['x1']->count);
        self::assertSame(
            ['needed', '', []],
            [
                $plan->of($plan->run('cove'))->making()->strip,
                $plan->of($plan->run('cove'))->making()->seal,
                $plan->spares,
            ],
        );
        self::assertEquals($plan, JobFile::own($text), 'a revision that was kept then opens as well');
        self::assertEquals($plan, JobFile::read(JobFile::write($plan)));
        $first = json_decode($text, true);
        self::assertIsArray($first);
        foreach (['splices', 'modules', 'fixtures', 'scenes'] as $list) {
            unset($first[$list]);
        }
        unset(
            $first['terms']['markUp'],
            $first['terms']['tax'],
            $first['terms']['travelMinutes'],
            $first['terms']['travelCost'],
            $first['terms']['again'],
        );
        foreach (
            [
                'runs' => ['part', 'parts', 'cap', 'capChecked', 'zones', 'pins'],
                'supplies' => ['setting', 'series', 'parallel', 'where'],
                'controllers' => ['setting', 'series', 'parallel', 'where'],
                'hubs' => ['setting', 'series', 'parallel', 'where'],
                'cables' => ['joint', 'fuse', 'existing'],
            ]
            as $list => $fields
        ) {
            $first[$list] = array_map(
                static fn(array $item): array => array_diff_key($item, array_flip($fields)),
                $first[$list],
            );
        }
        $early = JobFile::read((string) json_encode($first));
        self::assertSame(
            [0.0, 1.0, 1, [], []],
            [
                $early->terms->markUp,
                $early->runs['cove']->cap,
                $early->supplies['s1']->series,
                $early->fixtures,
                $early->scenes,
            ],
        );
        self::assertEqualsWithDelta($plan->runs['cove']->length(), $early->runs['cove']->length(), 1e-9);
        $this->expectExceptionMessage('sneaked');
        JobFile::read((string) json_encode(['sneaked' => 1] + $first));
    }

    /** Written by version 3, something in every list; never changed: of no cable it is known how it is laid. */
    public function test_version_three_is_read(): void
    {
        $three = JobFile::read((string) file_get_contents(dirname(__DIR__) . '/golden/job-v3.json'));
        $four = JobFile::read((string) file_get_contents(dirname(__DIR__) . '/golden/job-v4.json'));
        self::assertSame(
            [''],
            array_values(array_unique(array_map(static fn($c): string => $c->laid, $three->cables))),
        );
        self::assertEquals($three->with(cables: $four->cables), $four);
    }

    /** Written by version 4; never changed: without travel and follow-up visit. */
    public function test_version_four_is_read(): void
    {
        $four = JobFile::read((string) file_get_contents(dirname(__DIR__) . '/golden/job-v4.json'));
        $five = JobFile::read((string) file_get_contents(dirname(__DIR__) . '/golden/job-v5.json'));
        self::assertSame(
            [0.0, 0.0, false],
            [$four->terms->travelMinutes, $four->terms->travelCost, $four->terms->again],
        );
        self::assertSame(
            [45.0, 12.5, true],
            [$five->terms->travelMinutes, $five->terms->travelCost, $five->terms->again],
        );
        // Its cove is split by then, and there are two remotes.
        $whole = RejoinRun::for('cove')->apply($five);
        $whole = $whole->with(items: []);
        self::assertSame(2, $five->items['i1']->count);
        self::assertEquals($four->with(terms: $five->terms, controllers: $whole->controllers), $whole);
        self::assertSame('wall 3 at 1.25 m, 2.40 m up', $five->controllers['c1']->where());
    }

    /** Written by version 5; never changed: of nothing was it said then that it had been in use, nor where a panel hangs. */
    public function test_version_five_is_read(): void
    {
        $text = (string) file_get_contents(dirname(__DIR__) . '/golden/job-v5.json');
        $five = JobFile::read($text);
        $six = JobFile::read((string) file_get_contents(dirname(__DIR__) . '/golden/job-v6.json'));
        self::assertEquals($five, JobFile::own($text), 'a revision that was kept then opens as well');
        self::assertSame(
            [false, false, null],
            [$five->controllers['c1']->used, $five->items['i1']->used, $five->items['i1']->stands],
        );
        self::assertSame(
            [true, true, 'wall 2 at 0.50 m, 1.40 m up'],
            [$six->controllers['c1']->used, $six->items['i1']->used, $six->items['i1']->stands?->words()],
        );
        self::assertEquals(
            $five->with(controllers: $six->controllers, items: $six->items, answers: $six->answers, kit: $six->kit),
            $six,
        );
    }

    /** Written by version 6; never changed: without fades, triggers and location. */
    public function test_version_six_is_read(): void
    {
        $text = (string) file_get_contents(dirname(__DIR__) . '/golden/job-v6.json');
        $six = JobFile::read($text);
        $seven = JobFile::read((string) file_get_contents(dirname(__DIR__) . '/golden/job-v7.json'));
        self::assertEquals($six, JobFile::own($text), 'a revision that was kept then opens as well');
        self::assertSame([[], [], [], null], [$six->tunings, $six->shows, $six->triggers, $six->position]);
        self::assertSame(
            [0.0, 2.5, 'switches on at 40 %', '30 minutes before sunset', 54.2],
            [
                array_values($six->scenes)[0]->fade,
                array_values($seven->scenes)[0]->fade,
                $seven->tunings['c1']->returns(),
                $seven->triggers['t1']->words(),
                $seven->position?->latitude,
            ],
        );
        self::assertEquals(
            $six->with(
                scenes: $seven->scenes,
                tunings: $seven->tunings,
                shows: $seven->shows,
                triggers: $seven->triggers,
                position: $seven->position,
            ),
            $seven,
        );
    }

    /** Written by version 7; never changed: no cable said which leg it is part of. */
    public function test_version_seven_is_read(): void
    {
        $text = (string) file_get_contents(dirname(__DIR__) . '/golden/job-v7.json');
        $seven = JobFile::read($text);
        $eight = JobFile::read((string) file_get_contents(dirname(__DIR__) . '/golden/job-v8.json'));
        self::assertEquals($seven, JobFile::own($text), 'a revision that was kept then opens as well');
        self::assertSame(['', 'A'], [$seven->cables['k2']->leg, $eight->cables['k2']->leg]);
        self::assertEquals($seven->with(cables: $eight->cables), $eight);
    }

    /** Written by version 8; never changed: pixel boards were items beside the chain. */
    public function test_version_eight_is_read(): void
    {
        $text = (string) file_get_contents(dirname(__DIR__) . '/golden/job-v8.json');
        $eight = JobFile::read($text);
        $nine = JobFile::read((string) file_get_contents(dirname(__DIR__) . '/golden/job-v9.json'));
        self::assertEquals($eight, JobFile::own($text), 'a revision that was kept then opens as well');
        self::assertSame(
            ['i2'],
            array_values(array_diff(array_keys($nine->controllers), array_keys($eight->controllers))),
        );
        self::assertEquals($eight, $nine->with(controllers: $eight->controllers));
    }

    /** Boards keep their ids, positions and histories; several of one item get ids of their own, and the cables stay as they were drawn. */
    public function test_boards_of_version_eight_become_controllers(): void
    {
        $nine = Demo::plan();
        $board = [
            'id' => 'i1',
            'kit' => 'board-screw',
            'place' => 'place3',
            'count' => 2,
            'on' => 'band',
            'used' => true,
        ];
        $stands = ['place' => 'place3', 'spot' => 'B2', 'wall' => null, 'at' => 0.0, 'up' => null];
        $eight = static function (array $document) use ($board, $stands): array {
            $document['version'] = 8;
            unset($document['lines'], $document['segments']);
            $later = ['validDays' => 0, 'deposit' => 0, 'conditions' => ''];
            $document['terms'] = array_diff_key($document['terms'], $later);
            $document['kit'][] = [
                'id' => 'board-screw',
                'hash' => Demo::shelf()->find('board-screw')?->hash,
                'entry' => Demo::shelf()->find('board-screw')?->written,
            ];
            $document['items'] = [['stands' => $stands] + $board];
            $document['controllers'] = array_values(
                array_filter($document['controllers'], static fn(array $c): bool => $c['id'] !== 'i1'),
            );
            foreach ($document['runs'] as $n => $run) {
                $document['runs'][$n]['controller'] = $run['id'] === 'band' ? null : $run['controller'];
            }

            return $document;
        };
        $plan = JobFile::read(Json::compact($eight((array) json_decode(Demo::file('observatory'), true))));
        self::assertSame('i1', $plan->run('band')->controller);
        self::assertTrue($plan->of($plan->run('band'))->board()?->used);
        self::assertSame('B2', $plan->controllers['i1']->stands?->spot);
        self::assertArrayHasKey('i1-2', $plan->controllers);
        self::assertSame([], $plan->items);
        self::assertEquals($nine->cables, $plan->cables);
    }

    /** Written by version 9; never changed: data lines were not arranged. */
    public function test_version_nine_is_read(): void
    {
        $text = (string) file_get_contents(dirname(__DIR__) . '/golden/job-v9.json');
        $nine = JobFile::read($text);
        $ten = JobFile::read((string) file_get_contents(dirname(__DIR__) . '/golden/job-v10.json'));
        self::assertEquals($nine, JobFile::own($text), 'a revision that was kept then opens as well');
        self::assertSame([[], ['band']], [$nine->lines, $ten->lines['d1']->reversed]);
        self::assertEquals($nine->with(runs: $ten->runs, lines: $ten->lines), $ten);
    }

    /** Written by version 10; never changed: options without the control of their light. */
    public function test_version_ten_is_read(): void
    {
        $text = (string) file_get_contents(dirname(__DIR__) . '/golden/job-v10.json');
        $ten = JobFile::read($text);
        $eleven = JobFile::read((string) file_get_contents(dirname(__DIR__) . '/golden/job-v11.json'));
        self::assertEquals($ten, JobFile::own($text), 'a revision that was kept then opens as well');
        self::assertSame(
            [[''], ['remote']],
            [
                array_values(array_map(static fn($o): string => $o->by, $ten->options)),
                array_values(array_map(static fn($o): string => $o->by, $eleven->options)),
            ],
        );
        self::assertEquals($ten->with(options: $eleven->options), $eleven);
    }

    /** Written by version 11; never changed: runs without segments. */
    public function test_version_eleven_is_read(): void
    {
        $text = (string) file_get_contents(dirname(__DIR__) . '/golden/job-v11.json');
        $eleven = JobFile::read($text);
        $twelve = JobFile::read((string) file_get_contents(dirname(__DIR__) . '/golden/job-v12.json'));
        self::assertEquals($eleven, JobFile::own($text), 'a revision that was kept then opens as well');
        self::assertSame([0, 2], [count($eleven->segments), count($twelve->segments)]);
        self::assertEquals($eleven->with(segments: $twelve->segments), $twelve);
    }

    /** Written by version 12, something in every list; never changed. As long as 12 is the newest it is written the same again. */
    public function test_version_twelve_is_read(): void
    {
        $text = (string) file_get_contents(dirname(__DIR__) . '/golden/job-v12.json');
        $plan = JobFile::read($text);
        $document = (array) json_decode($text, true);
        foreach (Document::lists() as $list) {
            self::assertNotEmpty($document[$list], $list);
        }
        self::assertSame($text, JobFile::write($plan));
        self::assertEquals($plan, JobFile::own($text), 'a revision that was kept then opens as well');
        self::assertSame(
            ['saving', 'never', 'profile-corner', 'glue', 7, 0.6, ['kit'], 2, 'conduit'],
            [
                $plan->of($plan->run('cove'))->making()->strip,
                $plan->of($plan->run('cove'))->making()->length,
                $plan->makings['cove']->profile,
                $plan->makings['cove']->seal,
                $plan->spares['connector-solder']->count,
                $plan->run('band')->cap,
                $plan->run('cove')->pins,
                count($plan->fixtures) - 1,
                $plan->cables['k2']->laid,
            ],
        );
    }

    /** @return iterable<string, array{callable(array<string, mixed>): mixed, string, string}> */
    public static function faults(): iterable
    {
        $set = static fn(string $path, mixed $value): callable => static function (array $d) use (
            $path,
            $value,
        ): array {
            $at = &$d;
            foreach (explode('/', $path) as $key) {
                $at = &$at[$key];
            }
            $at = $value;

            return $d;
        };
        yield 'newer version' => [$set('version', 13), '/version', 'reads up to 12'];
        yield 'no version' => [$set('version', null), '/version', 'whole number'];
        yield 'another file' => [$set('format', 'else'), '/format', 'not a job file'];
        yield 'unknown field' => [$set('runs/0/colour', 'red'), '/runs/0', 'colour'];
        yield 'missing field' => [
            static function (array $d): array {
                unset($d['client']);

                return $d;
            },
            '',
            '“client” is missing',
        ];
        yield 'wrong type' => [$set('feeds/0/pad', 'first'), '/feeds/0/pad', 'integer was expected'];
        yield 'missing place' => [$set('runs/0/place', 'attic'), '/runs/0/place', 'No place “attic”'];
        yield 'missing kit' => [$set('supplies/0/kit', 'none'), '/supplies/0/kit', 'supply “none”'];
        yield 'kit of another kind' => [$set('supplies/0/kit', 'hub-zigbee'), '/supplies/0/kit', 'supply “hub-zigbee”'];
        yield 'negative length' => [$set('cables/0/length', -1), '/cables/0/length', 'outside'];
        yield 'absurd length' => [$set('cables/0/length', 1e300), '/cables/0/length', 'outside'];
        yield 'absurd run' => [$set('runs/0/sections', array_fill(0, 200, 1000.0)), '/runs/0/jumps', 'one jump fewer'];
        yield 'too many groups' => [
            static function (array $d): array {
                $d['runs'][0]['sections'] = array_fill(0, 20, 1000.0);
                $d['runs'][0]['jumps'] = array_fill(0, 19, 1.0);

                return $d;
            },
            '/runs',
            '200000',
        ];
        yield 'feed off the strip' => [$set('feeds/0/pad', 361), '/feeds/0/pad', 'ends at pad 360'];
        yield 'cable to nowhere' => [$set('cables/1/to', 'f9'), '/cables/1/to', 'not from “c1” to “f9”'];
        yield 'altered copy' => [$set('kit/0/entry/name', 'Better'), '/kit/0/hash', 'altered'];
        yield 'id twice' => [
            static function (array $d): array {
                $d['feeds'][] = $d['feeds'][0];

                return $d;
            },
            '/feeds/1/id',
            'twice',
        ];
        yield 'id with a slash' => [$set('places/0/id', '../x'), '/places/0/id', 'small letters'];
        yield 'no name' => [$set('name', ' '), '/name', 'has a name'];
        yield 'limit out of range' => [$set('limits/headroom', 0.95), '/limits/headroom', 'outside'];
    }

    /** @param  callable(array<string, mixed>): mixed  $spoil */
    #[DataProvider('faults')]
    public function test_a_faulty_file_is_refused_at_its_place(callable $spoil, string $pointer, string $said): void
    {
        /** @var array<string, mixed> $document */
        $document = json_decode(Demo::text(), true);
        try {
            JobFile::read(Json::compact($spoil($document)));
            self::fail('it was read');
        } catch (Refusal $t) {
            self::assertSame($pointer, $t->pointer, $t->getMessage());
            self::assertStringContainsString($said, $t->getMessage());
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function texts(): iterable
    {
        yield 'empty' => ['', 'not JSON'];
        yield 'not JSON' => ["{\n\"a\": nonsense}", 'line 2 has “nonsense}”'];
        yield 'NaN' => ['{"a": NaN}', 'line 1 has “NaN}”'];
        yield 'cut short' => ['{"a": [1, 2', 'ends too early'];
        yield 'a list' => ['[1]', 'not an object'];
        yield 'deep' => [str_repeat('{"a":', 5000) . '1' . str_repeat('}', 5000), 'nested deeper than 32'];
        yield 'large' => ['{"a": "' . str_repeat('x', 50_000_000) . '"}', '50.0 MB'];
        yield 'not UTF-8' => ["{\"a\": \"\xff\"}", 'not UTF-8'];
    }

    #[DataProvider('texts')]
    public function test_a_text_that_is_no_job_file_says_why(string $text, string $said): void
    {
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage($said);
        JobFile::read($text);
    }
}
