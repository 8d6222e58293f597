<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks;

use EmberDusk\Checks\Findings;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\Scene\SceneFindings;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Costing\ChangedLine;
use EmberDusk\Costing\Quote;
use EmberDusk\Costing\QuoteChange;
use EmberDusk\Formats\Fields;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\Facts;
use EmberDusk\Kit\Kinds;
use EmberDusk\Kit\Shelf;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/** Findings of scenes, facts of the shelf, supply rows and changes since a quote, case by case. */
final class FindingsTest extends TestCase
{
    private static function scened(): Plan
    {
        return Demo::with(
            Demo::run(
                metres: '4.00',
                strip: 'strip-single-24',
                supply: 'supply-24-240',
                controller: 'controller-zigbee-1',
                cable: 'cable-2x25',
            ),
            [
                'kind' => 'SetScene',
                'name' => 'Evening',
                'levels' => [['of' => 'c1', 'duties' => [0.3]]],
            ],
        );
    }

    /** @return list<Finding> */
    private static function inScene(RunResult|Refusal $scene, RunResult $full): array
    {
        return (new SceneFindings())->check(
            JudgedJob::for(
                new JobState(
                    plan: self::scened(),
                    results: ['line' => $full],
                    shelf: Demo::shelf(),
                    scenes: ['e1' => ['line' => $scene]],
                ),
            ),
        );
    }

    public function test_reports_a_scene_only_if_it_is_worse_than_full_light(): void
    {
        $plan = self::scened();
        $full = (new Engine($plan))->solve($plan->run('line'));
        $even = Circuits::lit($full, [1.0, 0.95, 0.93]);
        $dull = Circuits::lit($full, [1.0, 0.9, 0.8]);
        self::assertSame([], self::inScene($even, $even));
        [$finding] = self::inScene($dull, $even);
        self::assertSame(
            ['scene-evenness', 'Line is uneven in “Evening”', 'wire', 'line', 0.8, 0.9],
            [
                $finding->code,
                $finding->title,
                $finding->place->stage->value,
                $finding->place->id,
                $finding->number,
                $finding->limit,
            ],
        );
        self::assertStringContainsString('Darkest 0.80 of the brightest there, 0.93 at full', $finding->detail);
        self::assertSame([], self::inScene($dull, $dull), 'what is uneven at full is told there');
        self::assertSame([], self::inScene(Circuits::lit($full, [0.0, 0.0]), $even), 'what is dark is not uneven');
        [$unsolved] = self::inScene(new InvalidInput('It collapses.'), $even);
        self::assertSame(
            ['scene-unsolved', '“Evening” has no solution', 'It collapses.'],
            [$unsolved->code, $unsolved->title, $unsolved->detail],
        );
    }

    public function test_runs_whose_every_channel_is_even_need_no_scene_solved(): void
    {
        $plan = self::scened();
        $full = (new Engine($plan))->solve($plan->run('line'));
        $results = [
            'even' => Circuits::lit($full, [1.0, 0.95]),
            'dull' => Circuits::lit($full, [1.0, 0.85]),
            'none' => new InvalidInput('No.'),
        ];
        self::assertSame(
            ['even', 'dull'],
            array_keys(SceneFindings::settled($plan, $results)),
            'what is dull is told at full',
        );
    }

    /** A pixel run has no controller: what concerns no unit of the job is not about it. */
    public function test_what_has_no_place_is_about_no_run(): void
    {
        $plan = Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            [
                'kind' => 'ReviseNotes',
                'place' => 'room',
                'text' => "start end
4.00 line",
            ],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'pixels-5-rgb'],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'supply-5-100'],
        );
        self::assertNull($plan->run('line')->controller);
        $finding = static fn(string $place): Finding => (new Rule('open-damp', 'supply', '', Rule::PRACTICE))->watch(
            new FindingPlace(JobStage::Kit, $place),
            $place,
            '',
        );
        self::assertSame(
            ['line', 's1'],
            array_map(
                static fn(Finding $f): string => $f->title,
                Findings::about($plan, ['line'], array_map($finding, ['', 'line', 's1', 's2'])),
            ),
        );
    }

    public function test_every_entry_of_the_shelf_has_facts_to_choose_by(): void
    {
        $document = json_decode((string) file_get_contents(dirname(__DIR__, 3) . '/database/demo/shelf.json'), true);
        self::assertIsArray($document);
        $kinds = [];
        foreach ($document['entries'] as $entry) {
            $facts = Facts::written($entry);
            $kinds[$entry['kind']] = true;
            self::assertLessThanOrEqual(6, count($facts), $entry['id']);
            foreach ($facts as $fact) {
                self::assertNotSame('', trim($fact), $entry['id']);
                self::assertStringNotContainsString('  ', $fact, $entry['id']);
            }
        }
        self::assertSame([], array_diff(array_keys(Kinds::all()), array_keys($kinds)), 'the demo shelf has every kind');
        $of = static fn(string $id): array => Facts::written(Demo::shelf()->find($id)->written ?? []);
        self::assertSame(['24 V', '9.6 W/m', 'tunable white', 'cut 50 mm'], $of('strip-tunable-24'));
        self::assertSame(['24 V', '10 A', '240 W'], $of('supply-24-240'));
        self::assertSame(['2 m', '14 W/m', '11 mm', 'outdoor use'], $of('profile-outdoor'));
        self::assertSame('Bluetooth mesh', Facts::way('mesh'));
        self::assertSame('RGB and tunable white', Facts::way('rgbcct'));
        self::assertSame('unheard of', Facts::way('unheard of'));
        self::assertInstanceOf(\EmberDusk\Kit\Entry::class, Shelf::entry(new Fields($document['entries'][0])));
    }

    public function test_lists_changes_since_a_quote_line_by_line(): void
    {
        $plan = JobFile::read(Demo::file('observatory'));
        $quote = static fn(Plan $p): Quote => (new JobState($p, [], Demo::shelf(), []))->schedule()->quote();
        $given = $quote($plan);
        self::assertSame([], QuoteChange::since($given->write(), $given->total, $given, 'EUR')->rows());
        // One bench light of 58.00 and its 15 % less; the other lines stay, but twenty minutes of one person, and tax.
        $fewer = $quote(
            Demo::with($plan, [
                'kind' => 'SetFixture',
                'fixture' => 'x1',
                'kit' => 'fixture-panel-010',
                'place' => $plan->fixtures['x1']->place,
                'count' => 5,
            ]),
        );
        $changes = QuoteChange::since($given->write(), $given->total, $fewer, 'EUR')->rows();
        self::assertSame(
            [['Bench light 36 W, 0-10 V', '6', '5', '-66.70'], ['Fixtures', '3 h 20 min', '3 h', '-13.33']],
            array_map(static fn(ChangedLine $c): array => array_values($c->write()), array_slice($changes, 0, 2)),
        );
        self::assertEqualsWithDelta($given->net - 6670 - 1333, $fewer->net, 1);
        $gone = $quote(
            Demo::with($plan, [
                'kind' => 'SetFixture',
                'fixture' => 'x1',
                'kit' => 'fixture-panel-010',
                'place' => $plan->fixtures['x1']->place,
                'count' => 0,
            ]),
        );
        $gone = QuoteChange::since($given->write(), $given->total, $gone, 'EUR')->rows();
        self::assertSame(
            ['6', '–', '-400.20'],
            array_map(
                static fn(ChangedLine $c): array => [$c->then, $c->now, $c->difference],
                array_values(
                    array_filter($gone, static fn(ChangedLine $c): bool => str_starts_with($c->what, 'Bench light')),
                ),
            )[0],
        );
        self::assertSame(['0.05', '123.40'], [Quote::money(5), Quote::money(12340)]);
    }
}
