<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\Flaws;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\OrderRule;
use EmberDusk\Joining\Person;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\Trap;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Seeded jobs of all families joined by the guide against the simulated devices; what counts is what each control does when it is pressed at the end. */
final class RehearsalTest extends TestCase
{
    private const SEEDS = 24;

    /** @return iterable<string, array{TimingMethod}> */
    public static function schools(): iterable
    {
        foreach (TimingMethod::TIMINGS as $timing) {
            yield $timing => [new TimingMethod($timing)];
            yield "{$timing}, new kit trusted" => [new TimingMethod($timing, true)];
        }
    }

    #[DataProvider('schools')]
    public function test_seeded_jobs_work_with_every_method(TimingMethod $school): void
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            $done = Rehearsal::run(SeededRoster::of($seed, school: $school), $seed);
            self::assertSame([], self::wrong($done), "seed {$seed}");
            self::assertSame([[], []], [$done->found, $done->aside], "seed {$seed}: nothing was wrong");
        }
    }

    /** @return array<string, Observation> */
    private static function wrong(Rehearsal $done): array
    {
        return array_filter($done->tried, static fn(Observation $s): bool => $s !== Observation::Expected);
    }

    public function test_the_same_seed_gives_the_same_run(): void
    {
        $roster = SeededRoster::of(3);
        self::assertEquals(Rehearsal::run($roster, 3)->run->log(), Rehearsal::run($roster, 3)->run->log());
    }

    /** Every family and every ordered pair of families is among the seeded jobs. */
    public function test_every_pair_of_families_is_tried(): void
    {
        $pairs = [];
        foreach (SeededRoster::FAMILIES as $first) {
            foreach (SeededRoster::FAMILIES as $second) {
                if ($first === $second) {
                    continue;
                }
                foreach (range(1, 2) as $seed) {
                    $done = Rehearsal::run(SeededRoster::of($seed, [$first, $second]), $seed);
                    self::assertSame([], self::wrong($done), "{$first}, {$second}, seed {$seed}");
                    $pairs["{$first} {$second}"] = true;
                }
            }
        }
        self::assertCount(56, $pairs);
    }

    /** Each fault that a job can have, alone: fixed, and named where it shows. */
    public function test_single_faults_are_found_and_put_right(): void
    {
        $counts = [];
        for ($seed = 1; $seed <= 7; $seed++) {
            $roster = SeededRoster::of($seed);
            foreach ((new Flaws($roster))->for() as $key => $flaw) {
                // One of each kind a job is enough here; the bench takes all.
                if (isset($counts[$flaw->code][$seed])) {
                    continue;
                }
                $done = Rehearsal::run($roster, $seed, [$flaw]);
                self::assertSame([], self::wrong($done), "seed {$seed}, {$key}");
                self::assertSame([], array_diff($done->found, [$key]), "seed {$seed}, {$key}: nothing else is blamed");
                $counts[$flaw->code][$seed] = in_array($key, $done->found, true);
            }
        }
        // One missed join is not a fault, a lead that stayed connected shows only when it takes a link, a remote takes over only when it links second.
        unset($counts[Flaws::MISSED], $counts['two-powered'], $counts['took-over']);
        foreach ($counts as $code => $named) {
            self::assertNotContains(false, $named, $code);
        }
        self::assertGreaterThanOrEqual(22, count($counts));
    }

    public function test_pairs_of_faults_are_found_and_put_right(): void
    {
        $right = $all = 0;
        for ($seed = 1; $seed <= 30; $seed++) {
            $roster = SeededRoster::of($seed);
            $flaws = array_values((new Flaws($roster))->for());
            foreach (range(1, 3) as $n) {
                $two = [$flaws[($seed * 7 + $n * 13) % count($flaws)], $flaws[($seed * 11 + $n * 29) % count($flaws)]];
                if ($two[0]->key() === $two[1]->key()) {
                    continue;
                }
                $all++;
                $right += (int) (self::wrong(Rehearsal::run($roster, $seed, $two)) === []);
            }
        }
        self::assertGreaterThan(50, $all);
        self::assertGreaterThanOrEqual(0.9 * $all, $right);
    }

    /** Hurried eyes err three times in a hundred. */
    public function test_wrong_answers_do_not_lead_astray(): void
    {
        $right = $all = 0;
        for ($seed = 1; $seed <= 20; $seed++) {
            $roster = SeededRoster::of($seed);
            $flaws = array_values((new Flaws($roster))->for());
            foreach (range(1, 4) as $n) {
                $all++;
                $flaw = $flaws[($seed * 7 + $n * 17) % count($flaws)];
                $right +=
                    (int) (self::wrong(Rehearsal::run($roster, $seed, [$flaw], person: new Person(errs: 0.03))) === []);
            }
        }
        self::assertGreaterThanOrEqual(0.95 * $all, $right);
    }

    /** An unlisted fault does not get the name of another. */
    public function test_an_unlisted_fault_ends_as_unexplained(): void
    {
        $light = Bench::zigbee();
        $deaf = new Unit(
            id: 'c1',
            name: 'Run',
            role: Unit::LIGHT,
            family: 'zigbee',
            way: 'zigbee',
            // It takes longer than it listens: no instructions say so, and no hub ever finds it.
            leaflet: $light->leaflet->withFigures(['takesLeast' => 40.0, 'takesMost' => 41.0, 'listens' => 15.0]),
            kind: 'tunable',
        );
        $done = Rehearsal::run(Bench::roster([$deaf, Bench::hub()], [['h1', 'c1']]), 1);
        self::assertSame([], $done->found);
        self::assertStringContainsString('is not explained', $done->aside['join c1 h1'] ?? '');
        self::assertFalse($done->works());
    }

    /** The first answer to nothing is the same gesture again: no reset that is not needed. */
    public function test_a_plain_miss_costs_one_more_gesture(): void
    {
        $roster = Bench::roster([Bench::zigbee(), Bench::hub()], [['h1', 'c1']]);
        $presses = static fn(Rehearsal $r): int => count(
            array_filter($r->run->log(), static fn(Event $e): bool => $e->kind === Act::PRESS),
        );
        $plain = Rehearsal::run($roster, 1);
        $missed = Rehearsal::run($roster, 1, [new Flaw(Flaws::MISSED, 'c1')]);
        self::assertSame([5, 10], [$presses($plain), $presses($missed)]);
        self::assertSame([], $missed->found);
        self::assertTrue($missed->works());
    }

    /** @return iterable<string, array{OrderRule, Trap, Roster}> a rule, the trap that it is for, a job that needs it */
    public static function rules(): iterable
    {
        $all = [['h1', 'c1'], ['r1', 'c1', 1]];
        $kit = static fn(Unit ...$more): array => [
            Bench::zigbee(),
            Bench::hub(),
            Bench::remote(),
            ...array_values($more),
        ];
        yield 'reset first' => [
            OrderRule::ResetFirst,
            Trap::OldNetwork,
            Bench::roster([Bench::zigbee()->used(), Bench::hub()], [['h1', 'c1']]),
        ];
        yield 'the remote joins before it links' => [
            OrderRule::HubBeforeLink,
            Trap::OwnNetwork,
            Bench::roster($kit(), $all),
        ];
        yield 'others without power' => [
            OrderRule::OthersOff,
            Trap::SecondPowered,
            Bench::roster($kit(Bench::zigbee('c2', 1.0)), [...$all, ['h1', 'c2'], ['r1', 'c2', 2]]),
        ];
        yield 'names before they are read' => [
            OrderRule::NamesBeforeRead,
            Trap::NamesAtSearch,
            Bench::roster(
                $kit(
                    new Unit(
                        'a1',
                        'Assistant',
                        Unit::ASSISTANT,
                        'assistant',
                        'wifi',
                        Bench::leaflet([], ['search' => 20]),
                        'table',
                    ),
                ),
                [...$all, ['a1', 'c1']],
            ),
        ];
        $node = new Unit(
            id: 'c1',
            name: 'Run',
            role: Unit::LIGHT,
            family: 'mesh',
            way: 'mesh',
            leaflet: Bench::leaflet(
                ['reset' => 'press NODE 6', 'join' => 'press NODE 2 in 2'],
                ['range' => 25.0, 'linkListens' => 10],
            ),
            place: 'table',
            kind: 'rgbw',
        );
        $pairs = new Unit(
            'r1',
            'Remote',
            Unit::REMOTE,
            'meshremote',
            'mesh',
            Bench::leaflet(['link' => 'press zone']),
            'table',
            zones: 4,
        );
        yield 'the search is ended before a remote is linked by the same presses' => [
            OrderRule::SearchEnded,
            Trap::MeshSearch,
            Bench::roster([$node, $pairs], [['phone', 'c1'], ['r1', 'c1', 1]]),
        ];
        $receiver = new Unit(
            id: 'c1',
            name: 'Run',
            role: Unit::LIGHT,
            family: 'receiver',
            way: 'rf',
            leaflet: Bench::leaflet(
                ['reset' => 'press KEY 6 in 4', 'join' => 'press KEY'],
                ['listens' => 10, 'soon' => 4],
            ),
            place: 'table',
            kind: 'tunable',
        );
        $bridge = new Unit(
            id: 'g1',
            name: 'Bridge',
            role: Unit::BRIDGE,
            family: 'bridge',
            way: 'rf',
            leaflet: Bench::leaflet(['reset' => 'hold PIN 5', 'join' => 'press PIN'], ['countdown' => 60]),
            place: 'table',
            zones: 4,
        );
        yield 'the link follows power-on at once' => [
            OrderRule::PowerThenLink,
            Trap::Soon,
            Bench::roster([$receiver, $bridge], [['g1', 'c1', 1]]),
        ];
    }

    /** A fault that is never looked for is still there in the last trials: a light in wrong colours still responds. */
    public function test_a_run_ends_where_a_fault_is_never_looked_for(): void
    {
        $done = Rehearsal::run(SeededRoster::of(2), 2, [new Flaw('wrong-setting', 'c1')], chooser: new Nothing());
        self::assertFalse($done->works());
        self::assertNotSame([], $done->aside);
    }

    /** Without the rule the job fails; without the trap as well it works again: the rule is there for that trap. */
    #[DataProvider('rules')]
    public function test_each_rule_is_there_for_its_trap(OrderRule $rule, Trap $trap, Roster $roster): void
    {
        $plain = Rehearsal::run($roster, 1);
        self::assertSame([[], []], [self::wrong($plain), $plain->found]);
        $without = Rehearsal::run($roster, 1, dropped: [$rule]);
        self::assertNotSame(
            [[], 0],
            [self::wrong($without), $without->run->progress()->marks->missed],
            'it fails, or has to be fixed on the way',
        );
        $free = Rehearsal::run($roster, 1, dropped: [$rule], without: [$trap]);
        self::assertSame([[], 0], [self::wrong($free), $free->run->progress()->marks->missed]);
    }
}
