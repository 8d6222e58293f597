<?php

declare(strict_types=1);

namespace Tests\Screens;

use App\Screens\Handover\IssuedSheet;
use App\Screens\Kit\Gauge;
use App\Screens\Screen;
use App\Screens\Stage;
use App\Screens\Stages;
use EmberDusk\Checks\Findings;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\WiredRun;
use EmberDusk\Formats\Json;
use EmberDusk\Handover\SheetBuilder;
use EmberDusk\Handover\TestRecord;
use EmberDusk\Job\JobState;
use EmberDusk\Parts\Mark;
use EmberDusk\Parts\Part;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Steps;
use EmberDusk\Schedule\Tick;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\Responses;
use EmberDusk\Values\Finding;
use EmberDusk\Values\JobStage;
use PHPUnit\Framework\TestCase;

final class ScreensTest extends TestCase
{
    /** @param  list<string>  $joined */
    private static function work(Plan $plan, array $joined = []): JobState
    {
        $results = [];
        foreach ($plan->runs as $id => $run) {
            if (WiredRun::for($plan, $run) !== null) {
                $results[$id] = (new Engine($plan))->solve($run);
            }
        }

        return new JobState($plan, $results, Demo::shelf(), $joined);
    }

    private static function good(): Plan
    {
        return Demo::with(
            self::placed(Demo::plan()),
            ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'],
            ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'middle'],
            ['kind' => 'SetCable', 'cable' => 'k3', 'length' => 3.2],
            ['kind' => 'SetCable', 'cable' => 'k4', 'length' => 12.2],
            // Its copies are from before the shelf had prices.
            ...array_map(
                static fn(string $id): array => ['kind' => 'RefreshKit', 'kit' => $id],
                array_keys(Demo::plan()->kit),
            ),
        );
    }

    private static function placed(Plan $plan): Plan
    {
        $stands = ['place' => 'lecture', 'spot' => 'P1'];

        return Demo::with(
            $plan,
            ['kind' => 'PlaceDevice', 'device' => 's1', 'stands' => $stands],
            ['kind' => 'PlaceDevice', 'device' => 'c1', 'stands' => $stands],
        );
    }

    /** @return array<string, string> */
    private static function lamps(JobState $state): array
    {
        return array_column(Stages::lamps($state, (new Findings($state))->for()), 'state', 'id');
    }

    public function test_the_lamps_go_from_unlit_by_glowing_to_lit(): void
    {
        $empty = new Plan('New', '', places: ['room' => new Place('room', 'Room', '')]);
        self::assertSame(
            [
                'survey' => 'unlit',
                'kit' => 'unlit',
                'wire' => 'unlit',
                'parts' => 'unlit',
                'build' => 'unlit',
                'bench' => 'unlit',
                'join' => 'unlit',
                'scenes' => 'unlit',
                'handover' => 'unlit',
            ],
            self::lamps(self::work($empty)),
        );
        self::assertSame(
            [
                'survey' => 'lit',
                'kit' => 'lit',
                'wire' => 'glowing',
                'parts' => 'unlit',
                'build' => 'unlit',
                'bench' => 'unlit',
                'join' => 'unlit',
                'scenes' => 'unlit',
                'handover' => 'unlit',
            ],
            self::lamps(self::work(self::placed(Demo::plan()))),
        );
        self::assertSame(
            [
                'survey' => 'lit',
                'kit' => 'lit',
                'wire' => 'lit',
                'parts' => 'unlit',
                'build' => 'unlit',
                'bench' => 'unlit',
                'join' => 'lit',
                'scenes' => 'unlit',
                'handover' => 'lit',
            ],
            self::lamps(self::work(self::good(), ['c1'])),
        );
    }

    public function test_parts_and_build_glow_until_all_is_here_and_done(): void
    {
        $of = static fn(array $marks, array $ticks): array => array_intersect_key(
            self::lamps(
                new JobState(
                    self::good(),
                    self::work(self::good())->results,
                    Demo::shelf(),
                    ['c1'],
                    marks: $marks,
                    ticks: array_map(
                        static fn(string $s): Tick => new Tick($s, 10, '2026-11-27 09:00'),
                        array_combine($ticks, $ticks),
                    ),
                ),
            ),
            ['parts' => 1, 'build' => 1, 'handover' => 1],
        );
        $steps = array_map(
            static fn(Step $s): string => $s->id,
            Steps::for(self::good(), PartsList::for(self::good(), Demo::shelf()), Productivity::from([])),
        );
        self::assertSame(
            ['parts' => 'glowing', 'build' => 'glowing', 'handover' => 'unlit'],
            $of(['supply-24-240' => new Mark('ordered', '2099-01-01')], [$steps[0]]),
        );
        self::assertSame(
            ['parts' => 'lit', 'build' => 'lit', 'handover' => 'lit'],
            $of(
                array_map(
                    static fn(): Mark => new Mark('here'),
                    array_flip(
                        array_map(
                            static fn(Part $p): string => $p->key,
                            PartsList::for(self::good(), Demo::shelf())->parts,
                        ),
                    ),
                ),
                $steps,
            ),
        );
        self::assertSame(
            'glowing',
            $of(['supply-24-240' => new Mark('here')], $steps)['parts'],
            'the other lines are still to be bought',
        );
    }

    public function test_a_finished_job_has_no_open_points(): void
    {
        self::assertSame([], (new Findings(self::work(self::good(), ['c1'])))->for());
    }

    public function test_an_error_is_an_open_point_with_its_fix(): void
    {
        $plan = Demo::with(Demo::plan(), [
            'kind' => 'ReviseNotes',
            'place' => 'lecture',
            'text' => "start door\n5.2O cove",
        ]);
        $slip = (new Findings(self::work($plan)))->for()[0];
        self::assertSame(['slip', 'survey', 'lecture:2'], [$slip->code, $slip->place->stage->value, $slip->place->id]);
        self::assertSame("start door\n5.20 cove", Demo::with($plan, $slip->fixes[0]->change)->places['lecture']->notes);
    }

    public function test_reports_a_run_missing_in_the_notes_and_deletes_it(): void
    {
        $plan = Demo::with(Demo::plan(), [
            'kind' => 'ReviseNotes',
            'place' => 'lecture',
            'text' => "start door\n5 shelf",
        ]);
        $lost = array_values(
            array_filter(
                (new Findings(self::work($plan)))->for(),
                static fn(Finding $f): bool => $f->code === 'run-lost',
            ),
        );
        self::assertCount(1, $lost);
        self::assertSame(['shelf'], array_keys(Demo::with($plan, $lost[0]->fixes[0]->change)->runs));
    }

    public function test_every_stage_answers_as_its_schema_says(): void
    {
        $plans = [
            new Plan('New', '', places: ['room' => new Place('room', 'Room', '')]),
            Demo::plan(),
            self::good(),
            Demo::with(Demo::plan(), [
                'kind' => 'ReviseNotes',
                'place' => 'lecture',
                'text' => "start\n5 cove, gap 1 at 2 door\n2 shelf\nx",
            ]),
        ];
        foreach ($plans as $plan) {
            foreach (JobStage::cases() as $stage) {
                Responses::check(Screen::for($stage, self::work($plan)), 'desk');
            }
            $sheet = new IssuedSheet(
                printed: '',
                rehearsed: null,
                by: '',
                accepted: [],
                facts: [],
                notes: [],
                kits: [],
                joined: null,
                seen: [],
                sheet: (new SheetBuilder(JudgedJob::for(self::work($plan))))->sheet(
                    joinLog: ['0:01  C1 switched on'],
                    findings: (new Findings(self::work($plan)))->for(),
                    revision: 7,
                    tested: TestRecord::for(self::work($plan)),
                ),
            );
            Responses::check($sheet, 'issuedSheet');
        }
        self::assertCount(4, $plans);
    }

    /** @return array<string, string|null> verdict by entry, of one slot */
    private static function verdicts(Plan $plan, string $slot): array
    {
        $desk = json_decode(Json::compact(Screen::for(JobStage::Kit, self::work($plan))), true);
        self::assertIsArray($desk);
        $slots = array_column($desk['kit']['runs'][0]['slots'], null, 'slot');

        return array_column($slots[$slot]['options'], 'verdict', 'id');
    }

    public function test_the_shelf_lists_problems_of_an_entry(): void
    {
        $supplies = self::verdicts(Demo::plan(), 'supply');
        self::assertSame('Cove: 12 V on a 24 V strip', $supplies['supply-12-240']);
        // 172.8 W on 150 W, and on 240 W with 28 % to spare.
        self::assertSame('S1 load 115 %', $supplies['supply-24-150']);
        self::assertNull($supplies['supply-24-240']);
        self::assertSame(
            'C1 carries 15.0 m of this strip, not 18.0 m',
            self::verdicts(Demo::plan(), 'controller')['controller-zigbee-2-small'],
        );
        self::assertSame('K2 has 2 cores, 3 are needed', self::verdicts(Demo::plan(), 'cable')['cable-2x15']);
    }

    public function test_a_gauge_compares_capability_and_demand(): void
    {
        $plan = Demo::plan();
        $gauge = static fn(string $id): ?Gauge => Gauge::for(
            $plan,
            $plan->run('cove'),
            Demo::shelf()->find($id)->entry ?? self::fail($id),
        );
        // 9.6 W/m x 18 m / 0.8 = 216 W.
        self::assertEqualsWithDelta(216.0, $gauge('supply-24-150')->asks ?? 0, 1e-9);
        self::assertFalse($gauge('supply-24-150')?->write()->enough);
        self::assertTrue($gauge('supply-24-240')?->write()->enough);
        self::assertEqualsWithDelta(25.0, $gauge('controller-zigbee-2')->offers ?? 0, 1e-9);
        // The 10 A supply keeps up 15 A; 1.5 mm² is rated for 16 A.
        self::assertSame('16.0 A rated; 15.0 A in overload', $gauge('cable-3x15')?->write()->text);
        self::assertNull($gauge('hub-zigbee'));
    }

    public function test_the_sheet_has_cables_in_order_with_their_figures(): void
    {
        $plan = Demo::with(self::good(), [
            'kind' => 'NameLight',
            'controller' => 'c1',
            'name' => 'Cove',
            'room' => 'Lecture room',
        ]);
        $sheet = json_decode(
            Json::compact(
                (new SheetBuilder(JudgedJob::for(self::work($plan))))
                    ->sheet(joinLog: [], findings: [], revision: 12, tested: [])
                    ->write(),
            ),
            true,
        );
        self::assertIsArray($sheet);
        $run = $sheet['runs'][0];
        self::assertSame(['K1', 'K2', 'K4', 'K3'], array_column($run['cables'], 'id'));
        self::assertSame(
            ['S1 to C1', 'C1 to 0.00 m of Cove', 'C1 to 9.00 m of Cove', 'C1 to 18.00 m of Cove'],
            array_column($run['cables'], 'way'),
        );
        self::assertSame(
            ['12', '1.7', 'Cove', 'Lecture room'],
            [(string) $sheet['revision'], $sheet['engine'], $run['light'], $run['room']],
        );
        // Volts lost on the way and volts at the strip make the volts at the supply, but for what the controller takes.
        $volts = (float) $run['figures'][1]['text'];
        foreach ([1, 2, 3] as $n) {
            $sum =
                (float) $run['cables'][0]['drop'] +
                (float) $run['cables'][$n]['drop'] +
                (float) $run['cables'][$n]['volts'];
            self::assertEqualsWithDelta($volts, $sum, 0.12);
        }
        self::assertStringContainsString('does not state that the installation complies', $sheet['caution']);
    }

    /** A page is in its stage's folder, and is named once. */
    public function test_every_stage_has_its_page(): void
    {
        $pages = array_map(
            static fn(string $path): string => basename($path, 'Page.vue'),
            glob(dirname(__DIR__, 2) . '/resources/js/stages/*/*Page.vue') ?: [],
        );
        self::assertSame($pages, array_unique($pages));
        foreach (Stages::all() as $stage) {
            self::assertContains($stage->page() ?? ucfirst($stage->key()->value), $pages);
        }
        $digits = array_map(static fn(Stage $s): int => $s->digit(), Stages::all());
        self::assertSame($digits, array_unique($digits), 'no two stages have one key');
    }
}
