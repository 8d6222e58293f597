<?php

declare(strict_types=1);

namespace Tests\Screens\Wire;

use App\Screens\Wire\DimmedRow;
use App\Screens\Wire\FixtureRow;
use App\Screens\Wire\FixtureRows;
use App\Screens\Wire\SceneRows;
use App\Screens\Wire\SupplyRows;
use App\Screens\Wire\Taps;
use App\Screens\Wire\WireScreen;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\FortyRuns;
use EmberDusk\Tests\Responses;
use EmberDusk\Values\Fix;
use PHPUnit\Framework\TestCase;

/** Wire besides the ribbons: supplies with average and peak, fixtures, scenes; of large jobs the curves of open runs only. */
final class WireRowsTest extends TestCase
{
    /** @param  list<string>  $open */
    private static function work(Plan $plan, ?string $scene = null, array $open = []): JobState
    {
        $results = $scenes = [];
        foreach (Island::all($plan) as $island) {
            $results += (new Engine($plan))->island($island);
            foreach ($plan->scenes as $id => $of) {
                $scenes[$id] = ($scenes[$id] ?? []) + (new Engine($plan))->scene($island, $of);
            }
        }

        return new JobState(
            plan: $plan,
            results: $results,
            shelf: Demo::shelf(),
            scenes: $scenes,
            scene: $scene,
            open: $open,
        );
    }

    /** @return array<string, mixed> */
    private static function plain(mixed $rows): array
    {
        return (array) json_decode(json_encode($rows, JSON_THROW_ON_ERROR), true);
    }

    /** In “Talk” one channel is on for 30 %, the other for 60 %: the peak is what both take together, the average 45 % of it. */
    public function test_a_supply_in_a_scene_has_its_average_and_its_peak(): void
    {
        $plan = JobFile::read(Demo::file('observatory'));
        $full = SupplyRows::for(self::work($plan))[0]->write();
        $talk = SupplyRows::for(self::work($plan, 'e1'))[0]->write();
        self::assertSame($full['average']['value'], $full['peak']['value'], 'at full it is steady');
        self::assertEqualsWithDelta($full['peak']['value'], $talk['peak']['value'], 1e-6);
        $standby = 0.012;
        $one = (new Engine($plan))->scene(Island::all($plan)[0], $plan->scenes['e1'])['cove'];
        self::assertInstanceOf(RunResult::class, $one);
        self::assertEqualsWithDelta($one->supplyAmps, $talk['average']['value'], 1e-9);
        self::assertEqualsWithDelta(
            0.45,
            ($talk['average']['value'] - $standby) / ($talk['peak']['value'] - $standby),
            0.03,
        );
        self::assertStringContainsString('outside', $full['plate']['assumption']);
        self::assertStringContainsString('Local codes', $full['plate']['assumption']);
    }

    public function test_a_battery_tells_its_blocks_and_how_long_it_lasts(): void
    {
        $plan = Demo::with(
            Demo::run(
                metres: '3',
                strip: 'strip-single-12',
                supply: 'battery-12',
                controller: 'controller-zigbee-1',
                cable: 'cable-2x15',
            ),
            [
                'kind' => 'SetBlocks',
                'supply' => 's1',
                'series' => 1,
                'parallel' => 2,
            ],
        );
        $row = SupplyRows::for(self::work($plan))[0]->write();
        self::assertSame([true, 1, 2], [$row['battery'], $row['series'], $row['parallel']]);
        self::assertEqualsWithDelta(
            // Half of a lead-acid bank is used.
            (0.5 * $plan->supply('s1')?->ampHours) / $row['average']['value'],
            $row['runTime']['value'],
            1e-9,
        );
        self::assertStringContainsString('fuse at the tap', $row['notes'][0]);
    }

    public function test_fixtures_list_dimmers_and_supplies_and_each_choice_works(): void
    {
        $plan = JobFile::read(Demo::file('observatory'));
        $rows = FixtureRows::for(self::work($plan));
        self::assertSame(
            [['x1', '216', '0-10 V'], ['x2', '18', 'phase-cut']],
            array_map(static fn(FixtureRow $r): array => [$r->id, $r->watts, $r->dim], $rows),
        );
        foreach ($rows as $row) {
            self::assertNotSame([], $row->choices);
            foreach ($row->choices as $choice) {
                Demo::with($plan, $choice->change->write());
            }
        }
        $low = Demo::with($plan, [
            'kind' => 'SetFixture',
            'fixture' => null,
            'kit' => 'fixture-reading-24',
            'place' => 'lecture',
            'count' => 3,
        ]);
        $low = Demo::with($low, FixtureRows::for(self::work($low))[2]->choices[0]->change->write());
        $row = FixtureRows::for(self::work($low))[2]->write();
        self::assertSame(['S1', 'low voltage'], [$row['on'], $row['dim']]);
        self::assertGreaterThan(22.0, (float) $row['volts']);
    }

    /** Pixels are fed through their board or past it: the other way is offered, and taken as offered. */
    public function test_pixels_are_fed_the_other_way_past_or_through_their_board(): void
    {
        $plan = JobFile::read(Demo::shipped('observatory'));
        $labels = static fn(Plan $of): array => array_map(
            static fn(Fix $f): string => $f->label,
            array_values(
                array_filter(
                    Taps::for(self::work($of), $of->run('band')),
                    static fn(Fix $f): bool => str_contains($f->label, 'C6'),
                ),
            ),
        );
        self::assertSame(['Feed it from S3, past C6'], $labels($plan));
        $past = Demo::with($plan, Taps::for(self::work($plan), $plan->run('band'))[0]->change);
        self::assertSame('s3', $past->ways()->cableTo('f2')?->from);
        self::assertSame(['Feed it through C6'], $labels($past));
        self::assertSame([], $labels($past->with(cables: array_diff_key($past->cables, ['k15' => true]))));
    }

    public function test_scenes_and_their_settable_parts(): void
    {
        $plan = Demo::with(JobFile::read(Demo::file('observatory')), [
            'kind' => 'ChooseKit',
            'run' => 'band',
            'kit' => 'pixels-5-rgb',
        ]);
        self::assertSame(
            [
                ['id' => 'band', 'name' => 'Band', 'channels' => ['all colours']],
                ['id' => 'c1', 'name' => 'C1 Cove', 'channels' => ['warm white', 'cool white']],
                ['id' => 'm1', 'name' => 'M1 Workshop lamps', 'channels' => ['level']],
                ['id' => 'm2', 'name' => 'M2 Porch lamps', 'channels' => ['level']],
            ],
            array_map(static fn(DimmedRow $r): array => $r->write(), SceneRows::dimmed(self::work($plan))),
        );
        self::assertSame(['Talk', 'Slides'], array_column(SceneRows::for(self::work($plan)), 'name'));
    }

    public function test_the_picture_follows_the_scene(): void
    {
        $plan = JobFile::read(Demo::file('observatory'));
        $full = self::plain(WireScreen::picture(self::work($plan)));
        $slides = self::plain(WireScreen::picture(self::work($plan, 'e2')));
        Responses::check(WireScreen::picture(self::work($plan, 'e2')), 'wirePicture');
        self::assertSame([null, 'e2'], [$full['scene'], $slides['scene']]);
        $cove = static fn(array $picture): array => array_values(
            array_filter($picture['runs'], static fn(array $r): bool => $r['id'] === 'cove'),
        )[0];
        self::assertGreaterThan(max($cove($slides)['light']), min($cove($full)['light']));
        self::assertNotSame($cove($full)['seen'], $cove($slides)['seen']);
    }

    public function test_a_large_job_sends_the_curves_of_open_runs_only(): void
    {
        /** @var Plan $plan */
        $plan = FortyRuns::plan(Demo::shelf(), 5, 2);
        foreach (array_keys($plan->runs) as $run) {
            foreach (['supply-24-240', 'controller-zigbee-2', 'cable-3x15'] as $kit) {
                $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $kit]);
            }
        }
        $runs = array_column(self::plain(WireScreen::picture(self::work($plan, null, ['a0'])))['runs'], null, 'id');
        self::assertSame([false, true], [$runs['a0']['thin'], $runs['b0']['thin']]);
        self::assertCount($runs['a0']['lastPad'], $runs['a0']['light']);
        self::assertSame([24, [], []], [count($runs['b0']['light']), $runs['b0']['volts'], $runs['b0']['spread']]);
        $all = array_column(
            self::plain(WireScreen::picture(self::work($plan, null, array_keys($runs))))['runs'],
            null,
            'id',
        );
        self::assertEqualsWithDelta($all['b0']['light'][0], $runs['b0']['light'][0], 6e-4);
        self::assertEqualsWithDelta(
            $all['b0']['light'][count($all['b0']['light']) - 1],
            $runs['b0']['light'][23],
            6e-4,
        );
    }
}
