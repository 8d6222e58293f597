<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\BenchObservation;
use EmberDusk\Bench\Faults\BenchRun;
use EmberDusk\Bench\Faults\FaultBelief;
use EmberDusk\Bench\Faults\FaultDraw;
use EmberDusk\Bench\Faults\NextReading;
use EmberDusk\Bench\Faults\Predictions;
use EmberDusk\Bench\Log\BenchFacts;
use EmberDusk\Bench\Log\LogEntry;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpots;
use EmberDusk\Bench\Meter\Reading;
use EmberDusk\Bench\Practice\HiddenFault;
use EmberDusk\Bench\Practice\Practice;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A hall with five faults in it: each is found by what lamps and meter show, and named apart. */
final class PracticeTest extends TestCase
{
    private const SEED = 5;

    /** @var list<LogEntry> */
    private array $log = [];

    /** The switch first, since it hides the leads; then blue and white exchanged and red loose, by the same four questions. */
    public function test_distinguishes_a_switch_two_swapped_leads_and_a_loose_one(): void
    {
        $plan = BenchJob::plan();
        $this->colours($plan, 'bar', true);
        self::assertSame('The switch is left at tunable white, red is loose.', $this->verdict($plan, 'bar'));
        $this->log[] = LogTest::entry('mend', 'bar', 'leads@bar', null);
        $this->colours($plan, 'bar', true);
        self::assertSame('Blue and warm white are exchanged, red is loose.', $this->verdict($plan, 'bar'));
        $this->log[] = LogTest::entry('mend', 'bar', 'leads@bar', null);
        $this->colours($plan, 'bar', false);
        self::assertSame('Every colour lights as commanded.', $this->verdict($plan, 'bar'));
    }

    /** Dark from the 53rd pixel on is the joint between the pieces, never the count; then all light, and dimly: the limit. */
    public function test_distinguishes_a_dead_data_joint_and_a_default_limit(): void
    {
        $plan = BenchJob::plan();
        $this->log[] = LogTest::entry('count', 'star', 'count:96', (float) $this->practice($plan)->count('star', 96));
        $seen = BenchObservation::for($plan, $plan->run('star'), new BenchFacts($this->log));
        self::assertSame(
            'dark from the first pixel of piece 2 on: data joint, arrow or leg, not the count',
            $seen->says(),
        );
        $this->log[] = LogTest::entry('mend', 'star', 'data@star:2', null);
        self::assertSame(96, $this->practice($plan)->count('star', 96));
        self::assertSame(-1, $this->practice($plan)->count('star', 97));
        $belief = $this->read($plan, 'star');
        self::assertSame('limit@star', $belief->top(), 'likeliest, and not concluded: two faults would read alike');
        self::assertGreaterThan(0.7, $belief->classes['limit@star']);
    }

    /** @return iterable<string, array{string, int}> run, and which of the faults */
    public static function meters(): iterable
    {
        yield 'a cove that is dull at one end because of a bad joint' => ['cove', 3];
        yield 'a dead second feed that both ends hide' => ['rail', 4];
    }

    #[DataProvider('meters')]
    public function test_the_meter_finds_it_in_six_readings(string $run, int $fault): void
    {
        $plan = BenchJob::plan();
        $belief = $this->read($plan, $run);
        self::assertSame(BenchJob::faults($plan)[$fault], $belief->top());
        self::assertGreaterThan(0.9, $belief->classes[$belief->top()]);
        $this->log[] = LogTest::entry('mend', $run, $belief->top(), null);
        $after = $this->read($plan, $run);
        self::assertSame(FaultBelief::NONE, $after->top(), 'fixed by the name under which it was found, it is whole');
    }

    public function test_a_fix_under_a_wrong_name_changes_nothing(): void
    {
        $plan = BenchJob::plan();
        $this->log[] = LogTest::entry('mend', 'star', 'count@star', null);
        self::assertSame(52, $this->practice($plan)->count('star', 96));
        self::assertFalse($this->practice($plan)->whole());
        foreach (['leads@bar', 'leads@bar', ...array_slice(BenchJob::faults($plan), 1)] as $name) {
            $this->log[] = LogTest::entry('mend', 'x', $name, null);
        }
        self::assertTrue($this->practice($plan)->whole());
    }

    public function test_faults_by_chance_are_faults_that_the_job_can_have(): void
    {
        $plan = BenchJob::plan();
        $faults = Practice::drawn($plan, 3);
        self::assertCount(count(Island::all($plan)), $faults);
        self::assertSame($faults, Practice::drawn($plan, 3));
        foreach ($faults as $fault) {
            self::assertSame($fault, HiddenFault::read($fault)->name);
        }
        $this->expectException(InvalidInput::class);
        $this->expectExceptionMessage('“broken” is not a fault; write it as KIND@PLACE.');
        HiddenFault::read('broken');
    }

    public function test_draws_only_faults_that_readings_can_detect(): void
    {
        $plan = JobFile::read(Demo::shipped('narrowboat'));
        $island = Island::all($plan)[0];
        $run = array_values($island->parts)[0]->run;
        $detectable = (new FaultDraw((new KeptSolver())->predictions($plan, $island, $run)))->all();
        $possible = Predictions::possible($plan, $island, $run);
        self::assertLessThan(count($possible), count($detectable), 'some are too small for any meter');
        $names = [];
        for ($seed = 1; $seed <= 100; $seed++) {
            $names[] = (string) FaultDraw::name($plan, $island, $run, $seed);
        }
        self::assertSame([], array_diff($names, array_keys($detectable)));
        $kinds = static fn(array $of): array => array_unique(
            array_map(static fn(string $n): string => explode('@', $n)[0], $of),
        );
        self::assertCount(count($kinds(array_keys($detectable))), $kinds($names), 'every kind is drawn');
    }

    private function practice(Plan $plan): Practice
    {
        return Practice::for(
            plan: $plan,
            facts: new BenchFacts($this->log),
            solver: new KeptSolver(),
            faults: BenchJob::faults($plan),
            seed: self::SEED,
        );
    }

    /** Each colour that is asked for is commanded, and what lights goes into the log. */
    private function colours(Plan $plan, string $run, bool $wrong): void
    {
        for ($n = 0; $n < 5; $n++) {
            $seen = BenchObservation::for($plan, $plan->run($run), new BenchFacts($this->log), true);
            $next = $seen->finder?->next();
            if ($next === null) {
                break;
            }
            $this->log[] = LogTest::entry(
                'colour',
                $run,
                'colour:' . ($next + 1),
                (float) $this->practice($plan)->colour($run, $next),
            );
        }
        $found = BenchObservation::for($plan, $plan->run($run), new BenchFacts($this->log))->finder?->found();
        self::assertSame($wrong, $found?->right() === false);
    }

    private function verdict(Plan $plan, string $run): string
    {
        $seen = BenchObservation::for($plan, $plan->run($run), new BenchFacts($this->log));
        $found = $seen->finder?->found();
        self::assertNotNull($found);

        return (string) $seen->words?->verdict($found);
    }

    /** The supply first, as on the card, then the suggested readings, six at most. */
    private function read(Plan $plan, string $run): FaultBelief
    {
        $island = Island::for($plan, $plan->run($run));
        self::assertNotNull($island);
        $predictions = (new KeptSolver())->predictions($plan, $island, $plan->run($run));
        $next = [MeterSpots::named($plan, $island, $island->supplies[0]), MeterCommand::full()];
        $readings = [];
        do {
            $value = $this->practice($plan)->read($island, $next[0]->id, $next[1]);
            $readings[] = new Reading($next[0], $next[1], $value);
            $belief = FaultBelief::from($predictions, $readings);
            $next = (new NextReading())->next($belief, $readings);
        } while ($next !== null && count($readings) < BenchRun::MOST && !BenchRun::enough($belief, $readings));

        return $belief;
    }
}
