<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Plan\Invariants;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Runs rewired in one change: correct parts keep their ids, unused ones are removed, impossible ones are refused at their place. */
final class WireRunsTest extends TestCase
{
    /**
     * @param  list<array<string, mixed>>  $runs
     * @return array<string, mixed>
     */
    private static function supply(
        array $runs,
        string $controller = 'controller-zigbee-2',
        string $kit = 'supply-24-240',
        string $where = '',
    ): array {
        return [
            'kit' => $kit,
            'where' => $where,
            'blocks' => [
                [
                    'kit' => $controller,
                    'where' => $where,
                    'trunk' => ['kit' => 'cable-2x15', 'length' => 2.0, 'fuse' => null],
                    'runs' => $runs,
                ],
            ],
        ];
    }

    /**
     * @param  list<int>  $pads
     * @return array<string, mixed>
     */
    private static function fed(string $run, array $pads, string $kit = 'cable-3x15', float $length = 3.2): array
    {
        return [
            'run' => $run,
            'halves' => false,
            'tails' => array_map(
                static fn(int $pad): array => ['pad' => $pad, 'kit' => $kit, 'length' => $length, 'fuse' => null],
                $pads,
            ),
        ];
    }

    /** @param  array<string, mixed>  ...$supplies */
    private static function wired(Plan $plan, array ...$supplies): Plan
    {
        return Demo::with($plan, ['kind' => 'WireRuns', 'supplies' => $supplies]);
    }

    public function test_valid_parts_keep_id_and_length(): void
    {
        $plan = Demo::with(Demo::plan(), [
            'kind' => 'NameLight',
            'controller' => 'c1',
            'name' => 'Cove',
            'room' => 'Lecture room',
        ]);
        $made = self::wired($plan, self::supply([self::fed('cove', [0, 180])]));
        self::assertSame(['s1', 'c1'], [$made->run('cove')->supply, $made->run('cove')->controller]);
        self::assertSame('Cove', $made->lights['c1']->name);
        self::assertSame(['f1', 'f2'], array_keys($made->feeds));
        // The tail to the first feed is measured as before; the trunk and the new one are calculated.
        $tail = $made->ways()->cableTo('f1');
        $trunk = $made->ways()->cableTo('c1');
        self::assertNotNull($tail);
        self::assertNotNull($trunk);
        self::assertFalse($tail->reckoned);
        self::assertSame('k2', $tail->id);
        self::assertTrue($trunk->reckoned);
        self::assertSame(['k1', 2.0], [$trunk->id, $trunk->length]);
        self::assertTrue($made->ways()->cableTo('f2')->reckoned ?? false);
    }

    public function test_another_model_and_place_reset_the_switch(): void
    {
        $plan = Demo::with(
            Demo::run(
                metres: '4',
                strip: 'strip-rgbw-24',
                supply: 'supply-24-240',
                controller: 'controller-zigbee-4',
                cable: 'cable-5x075',
            ),
            [
                'kind' => 'SetSwitch',
                'controller' => 'c1',
                'setting' => 'rgbw',
            ],
        );
        $same = self::wired(
            $plan,
            self::supply([self::fed('line', [0], 'cable-5x15')], 'controller-zigbee-4', 'supply-24-150', 'B1'),
        );
        self::assertSame(
            ['supply-24-150', 'B1', 'rgbw'],
            [$same->supplies['s1']->kit, $same->supplies['s1']->where(), $same->controllers['c1']->setting],
        );
        $other = self::wired($plan, self::supply([self::fed('line', [0], 'cable-5x15')], 'controller-wifi-4'));
        self::assertNull($other->controllers['c1']->setting);
        self::assertArrayNotHasKey('cable-5x075', $other->kit, 'kit that nothing uses any more is dropped');
    }

    /** @return iterable<string, array{string, mixed, string}> field, value, pointer of the refusal */
    public static function badBanks(): iterable
    {
        yield 'a place that the job does not have' => ['place', 'nowhere', '/supplies/0/bank/place'];
        yield 'kit that is no battery' => ['kit', 'supply-24-100', '/supplies/0/bank/kit'];
        yield 'no blocks' => ['series', 0, '/supplies/0/bank/series'];
        yield 'a cable that is a number' => ['input', 5, '/supplies/0/bank/input'];
    }

    #[DataProvider('badBanks')]
    public function test_refuses_a_bank_that_cannot_be(string $field, mixed $value, string $pointer): void
    {
        $plan = JobFile::read(Demo::shipped('narrowboat'));
        $wire = ['kit' => 'cable-2x15', 'length' => 1.0, 'fuse' => null];
        $supply = [
            'kit' => 'converter-24-12',
            'where' => 'B1',
            'blocks' => [
                [
                    'kit' => 'controller-zigbee-1',
                    'where' => 'B1',
                    'trunk' => $wire,
                    'runs' => [['run' => 'port', 'halves' => false, 'tails' => [['pad' => 0] + $wire]]],
                ],
            ],
            'bank' => [
                'kit' => 'battery-8',
                'series' => 3,
                'parallel' => 2,
                'place' => 'engine',
                'spot' => 'E1',
                'input' => $wire,
            ],
        ];
        self::assertSame('s2', self::wired($plan, $supply)->supplies['s1']->bank, 'the bank of the notes is found');
        $supply['bank'][$field] = $value;
        try {
            self::wired($plan, $supply);
            self::fail('It was taken.');
        } catch (InvalidInput $refused) {
            self::assertSame($pointer, $refused->pointer);
        }
    }

    public function test_runs_are_joined_and_parted(): void
    {
        $kit = static fn(string $run): array => array_map(
            static fn(string $k): array => ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $k],
            ['strip-single-24', 'supply-24-100', 'controller-zigbee-1', 'cable-2x15'],
        );
        $plan = Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => "start end\n3.00 line\nright 3.00 shelf"],
            ...$kit('line'),
            ...$kit('shelf'),
        );
        self::assertCount(2, $plan->supplies);
        $joined = self::wired(
            $plan,
            self::supply(
                [self::fed('line', [0], 'cable-2x15'), self::fed('shelf', [60], 'cable-2x15')],
                'controller-zigbee-1',
            ),
        );
        self::assertSame([['s1'], ['c1']], [array_keys($joined->supplies), array_keys($joined->controllers)]);
        self::assertSame(['c1', 'c1'], [$joined->run('line')->controller, $joined->run('shelf')->controller]);
        $parted = self::wired(
            $joined,
            self::supply([self::fed('line', [0], 'cable-2x15')], 'controller-zigbee-1'),
            self::supply([self::fed('shelf', [0], 'cable-2x15')], 'controller-zigbee-1'),
        );
        self::assertCount(2, $parted->supplies);
        self::assertNotSame($parted->run('line')->controller, $parted->run('shelf')->controller);
        // Only one of two that share a unit: the other keeps it.
        $alone = self::wired($joined, self::supply([self::fed('shelf', [0], 'cable-2x15')], 'controller-zigbee-1'));
        self::assertSame('s1', $alone->run('line')->supply);
        self::assertSame('s2', $alone->run('shelf')->supply);
        self::assertNotNull($alone->ways()->cableTo('c1'));
    }

    public function test_halves_are_cut_apart_with_a_feed_at_each_outer_end(): void
    {
        $plan = Demo::run(
            metres: '6',
            strip: 'strip-single-24',
            supply: 'supply-24-240',
            controller: 'controller-zigbee-1',
            cable: 'cable-2x15',
        );
        $made = self::wired(
            $plan,
            self::supply([['halves' => true] + self::fed('line', [0, 60], 'cable-2x15')], 'controller-zigbee-1'),
        );
        self::assertSame(['line', 'line-1'], array_keys($made->runs));
        self::assertSame([3.0, 3.0], [$made->run('line')->length(), $made->run('line-1')->length()]);
        self::assertSame(
            [0, 60],
            [$made->ways()->feedsOf($made->run('line'))[0]->pad, $made->ways()->feedsOf($made->run('line-1'))[0]->pad],
        );
        self::assertSame($made->run('line')->controller, $made->run('line-1')->controller);
        self::assertSame('strip-single-24', $made->run('line-1')->strip);
    }

    /** Pads at both ends of two sections of 1.5 m with 0.3 m of lead between: taps at 0, 1.5, 1.8 and 3.3 m, a metre of leg before. */
    public function test_a_leg_that_lies_there_is_tapped_and_not_bought(): void
    {
        $plan = Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => "start end\n3.30 band, gap 0.30 at 1.50 beam"],
            ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => 'pixels-5-rgb'],
        );
        $made = self::wired($plan, [
            'kit' => 'supply-5-100',
            'where' => '',
            'blocks' => [
                [
                    'kit' => null,
                    'where' => '',
                    'runs' => [
                        [
                            'leg' => [
                                'name' => 'A',
                                'kit' => 'cable-3x25',
                                'length' => 3.2,
                                'measured' => true,
                                'laid' => 'wall',
                                'with' => 'cable-2x15',
                                'lead' => 0.8,
                                'fuse' => 'fuse-20',
                                'ends' => ['P1', 'B1'],
                            ],
                        ] + self::fed('band', [0, 181], 'cable-2x15', 0.2),
                    ],
                ],
            ],
        ]);
        $cables = array_values($made->cables);
        usort($cables, static fn($a, $b): int => strnatcmp($a->id, $b->id));
        self::assertSame(
            [
                ['s1', 'cable-2x15', 0.8, 'fuse-20', false],
                ['j1', 'cable-2x15', 0.2, null, false],
                ['j1', 'cable-3x25', 3.2, null, true],
                ['j2', 'cable-2x15', 0.2, null, false],
            ],
            array_map(static fn($c): array => [$c->from, $c->kit, $c->length, $c->fuse, $c->existing], $cables),
        );
        self::assertSame('end of leg A at P1', $made->splices['j1']->where);
        self::assertSame([false, 'wall'], [$cables[2]->reckoned, $cables[2]->laid], 'somebody measured it');
    }

    public function test_what_cannot_be_is_refused_at_its_place(): void
    {
        $plan = Demo::plan();
        foreach (
            [
                ['/supplies', []],
                ['/supplies/0/kit', [self::supply([self::fed('cove', [0])], kit: 'nothing')]],
                ['/supplies/0/blocks/0/kit', [self::supply([self::fed('cove', [0])], controller: 'cable-2x15')]],
                ['/supplies/0/blocks/0/runs/1/run', [self::supply([self::fed('cove', [0]), self::fed('cove', [1])])]],
                ['/supplies/0/blocks/0/runs/0/tails/0/pad', [self::supply([self::fed('cove', [-1])])]],
            ]
            as [$pointer, $supplies]
        ) {
            try {
                self::wired($plan, ...$supplies);
                self::fail("{$pointer} was not refused");
            } catch (Refusal $t) {
                self::assertSame($pointer, $t->pointer);
            }
        }
        // A feed beyond the strip is caught by the plan's invariants.
        $this->expectExceptionMessage('ends at pad 360');
        Invariants::check(self::wired($plan, self::supply([self::fed('cove', [999])])));
    }

    public function test_a_plan_made_so_is_written_and_read_alike(): void
    {
        $made = self::wired(Demo::plan(), self::supply([self::fed('cove', [90, 270])], where: 'B1'));
        self::assertEquals($made, JobFile::read(JobFile::write($made)));
        self::assertStringContainsString('"spot": "B1"', JobFile::write($made));
    }
}
