<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Options;

use EmberDusk\Checks\Findings;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Netlist;
use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Job\JobState;
use EmberDusk\Options\Options;
use EmberDusk\Plan\Changes\Places\ReviseNotes;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Survey\Site\PixelMatrix;
use EmberDusk\Survey\StatedKind;
use EmberDusk\Survey\StatedNotes;
use EmberDusk\Survey\StatedPower;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Tests\Circuit\Ngspice;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Finding;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Severity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** From an empty job to a wired plan in two actions: the stated run, and one of its options. */
final class FromNothingTest extends TestCase
{
    /** @return iterable<string, array{string, float, bool, string, array<string, mixed>, string}> */
    public static function jobs(): iterable
    {
        yield 'a garden room with a loop' => ['loop', 13.6, true, '', ['colour' => 'tunable'], 'supply'];
        yield 'a cart with six 8 V blocks' => ['rail', 3.4, false, '6 of 8 V', ['volts' => 12], 'converter'];
        yield 'a kitchen band' => ['band', 4.7, false, '', ['colour' => 'rgbw'], 'supply'];
        yield 'a boat on two 6 V blocks' => ['berth', 2.2, false, '2 of 6 V, 2 rows', ['volts' => 12], 'battery'];
    }

    /** @param  array<string, mixed>  $asked */
    #[DataProvider('jobs')]
    public function test_an_option_makes_a_plan_that_is_whole(
        string $run,
        float $metres,
        bool $meets,
        string $battery,
        array $asked,
        string $kind,
    ): void {
        $plan = self::taken(self::begun($run, $metres, $meets, $battery), $run, $asked);
        self::assertSame($kind, $plan->kit[$plan->supplies[$plan->run($run)->supply ?? '']->kit]->kind());
        $results = [$run => (new Engine($plan))->solve($plan->run($run))];
        self::assertNotSame([], $results[$run]->light);
        $stops = array_filter(
            (new Findings(new JobState($plan, $results, Demo::shelf())))->for(),
            static fn(Finding $f): bool => $f->severity === Severity::Stop,
        );
        self::assertSame([], array_map(static fn(Finding $f): string => $f->title, array_values($stops)));
        // ngspice agrees within a millivolt at every node.
        $networks = (new Engine($plan))->networks();
        $nodes = [];
        foreach ($networks as $network) {
            $nodes += Newton::solve($network)->nodes();
        }
        Ngspice::assertAgrees(Netlist::write('from nothing', $networks), $nodes);
    }

    public function test_measuring_later_keeps_decisions(): void
    {
        $plan = self::taken(self::begun('loop', 13.6, true, ''), 'loop', ['colour' => 'tunable']);
        $measured = ReviseNotes::for(
            'room',
            "start door\n4.12 loop\nright 2.71 loop\nright 4.12 loop\nright 2.71 loop\noutlet P1 at 0.80\nclose\ndry\nrun loop, profile, up 2.4",
        )->apply($plan);
        $run = $measured->run('loop');
        self::assertEqualsWithDelta(13.66, $run->length(), 1e-9);
        self::assertSame($plan->run('loop')->supply, $run->supply);
        self::assertSame($plan->run('loop')->strip, $run->strip);
        self::assertCount(count($plan->feeds), $measured->feeds);
        self::assertNotSame(JobFile::write($plan), JobFile::write($measured));
    }

    public function test_what_cannot_be_said_is_refused_at_its_field(): void
    {
        foreach (
            [['12', 4.0, '', '/run'], ['cove', 4.0, '6 of 7 V', '/battery'], ['cove', 4.0, 'old ones', '/battery']]
            as [$run, $metres, $battery, $pointer]
        ) {
            try {
                self::notes($run, $metres, false, $battery);
                self::fail($pointer);
            } catch (InvalidInput $t) {
                self::assertSame($pointer, $t->pointer);
            }
        }
        $loop = WallNotes::read(self::notes('cove', 18.0, true, ''));
        self::assertTrue($loop->closed);
        self::assertEqualsWithDelta(18.0, array_sum($loop->runs['cove']->lengths), 1e-9);
        self::assertEqualsWithDelta(0.0, $loop->runs['cove']->endsApart(), 1e-9);
    }

    /** The notes contain the kind of job: a vehicle moves, a light wall is a matrix, mains without an outlet is a spur. */
    public function test_a_kind_of_job_is_said_in_the_notes(): void
    {
        $cart = WallNotes::read(
            (new StatedNotes('rail', 3.4, StatedKind::Vehicle, StatedPower::Battery, battery: '1 of 12 V'))->text(),
        );
        self::assertSame([], $cart->slips);
        self::assertSame(['moving'], $cart->site->runs['rail']->mounting);
        self::assertCount(1, $cart->site->batteries);
        $wall = WallNotes::read(
            (new StatedNotes(
                'wall',
                2.1,
                StatedKind::Matrix,
                StatedPower::Mains,
                matrix: new PixelMatrix(14, 9),
            ))->text(),
        );
        self::assertSame([], $wall->slips);
        self::assertSame(126, $wall->site->runs['wall']->matrix?->pixels());
        self::assertTrue($wall->site->outlets[0]->spur);
        $shelf = WallNotes::read((new StatedNotes('shelf', 3.0))->text());
        self::assertSame([[], [], false], [$shelf->slips, $shelf->site->runs, $shelf->site->outlets[0]->spur]);
    }

    private static function notes(string $run, float $metres, bool $meets, string $battery): string
    {
        return (new StatedNotes(
            run: $run,
            metres: $metres,
            power: $battery === '' ? StatedPower::Outlet : StatedPower::Battery,
            meets: $meets,
            battery: $battery,
        ))->text();
    }

    private static function begun(string $run, float $metres, bool $meets, string $battery): Plan
    {
        return ReviseNotes::for('room', self::notes($run, $metres, $meets, $battery))->apply(
            new Plan('Begun', '', places: ['room' => new Place('room', 'First place', '')]),
        );
    }

    /** @param  array<string, mixed>  $asked */
    private static function taken(Plan $plan, string $run, array $asked): Plan
    {
        $plan = Demo::with($plan, [
            'kind' => 'SetOptions',
            'run' => $run,
            'options' => [
                $asked + [
                    'volts' => 24,
                    'light' => 'mood',
                    'colour' => 'single',
                    'controllers' => 0,
                    'control' => 'zigbee',
                    'source' => 'shelf',
                    'cap' => 1,
                ],
            ],
        ]);
        $card = Options::for($plan, $plan->run($run), Demo::basis())[0]->write();
        self::assertNull($card['refused']);

        return Demo::with($plan, (array) $card['take']);
    }
}
