<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\LiveRun;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Order\Order;
use EmberDusk\Joining\Recovery;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Nothing is called joined or working that was not seen to be. */
final class ProofTest extends TestCase
{
    /** A hub’s app works on every phone; what lives in one phone is not tried on another. */
    public function test_each_further_phone_is_set_up_and_tried_where_any_phone_works(): void
    {
        $near = new Unit('c5', 'Run c5', Unit::LIGHT, 'bluetooth', 'bluetooth', Bench::leaflet(), 'table', [1.0, 0.0]);
        $one = Bench::roster([Bench::zigbee(), Bench::hub(), $near], [['h1', 'c1'], ['phone', 'c5']]);
        foreach ([1 => [], 2 => ['phones h1 c1'], 3 => ['phones h1 c1']] as $phones => $tried) {
            $roster = new Roster($one->units, $one->wants, phones: $phones);
            $tasks = array_filter(Order::for($roster), static fn(Task $t): bool => $t->what === Task::PHONES);
            self::assertSame($tried, array_values(array_map(static fn(Task $t): string => $t->id(), $tasks)));
        }
        $done = Rehearsal::run(new Roster($one->units, $one->wants, phones: 3), 1);
        $steps = array_values(
            array_filter(
                array_map(static fn(array $t): JoinStep => $t[1], $done->trail),
                static fn(JoinStep $s): bool => str_starts_with($s->task, 'phones '),
            ),
        );
        self::assertSame(['app', 'phones'], array_map(static fn(JoinStep $s): string => $s->kind, $steps));
        self::assertStringStartsWith('On each of the 2 further phones: install', $steps[0]->title);
        self::assertTrue($done->works());
    }

    /** Covers weaken the radio: each control is tried with the light that is farthest from it. */
    public function test_the_farthest_light_is_tried_with_covers_closed(): void
    {
        $leaflet = Bench::remote()->leaflet;
        $panel = new Unit('p1', 'Panel', Unit::PANEL, 'remote', 'zigbee', $leaflet, 'table', [0.0, 0.0], zones: 4);
        $roster = Bench::roster(
            [Bench::zigbee('c1', 3.0), Bench::zigbee('c2', 9.0), Bench::zigbee('c3', -4.0), $panel],
            [['p1', 'c1', 1], ['p1', 'c2', 2], ['p1', 'c3', 3]],
        );
        $of = static fn(string $what): array => array_values(
            array_map(
                static fn(Task $t): string => $t->other,
                array_filter(Order::for($roster), static fn(Task $t): bool => $t->what === $what),
            ),
        );
        self::assertSame(['c2'], $of(Task::CLOSED));
        self::assertSame(['c1', 'c2', 'c3'], $of(Task::MAINS));
    }

    private static function roster(string $job): Roster
    {
        return Joinable::for(JobFile::read(Demo::shipped($job)))->roster;
    }

    /**
     * Answers a run on site step by step until its end.
     *
     * @param  callable(JoinStep): Observation  $sees answer to an observation step
     * @return array{LiveRun, JoinStep}
     */
    private static function answered(Roster $roster, callable $sees): array
    {
        $run = new LiveRun($roster, Order::for($roster), 1, onSite: true);
        $now = 0.0;
        for ($n = 0; $n < 4000; $n++) {
            $now += 5.0;
            $step = $run->next($now);
            if ($step->look === Look::End) {
                return [$run, $step];
            }
            match (true) {
                $step->look === Look::Mend => $run->act(Event::MENDED, $step->device, $now, "{$step->kind}|no"),
                $step->look === Look::Name => $run->act(Event::NAMED, $step->device, $now, 'A light, A room'),
                $step->look === Look::Hand => $run->work($step->key(), $now = max($now, $step->window[0] ?? 0.0)),
                $step->look === Look::List && $sees($step) === Observation::Expected => $run->act(
                    Event::FOUND,
                    $step->device,
                    $now,
                    "Light {$n}",
                ),
                default => $run->act(
                    Event::SAW,
                    $step->device,
                    $now = max($now, $step->lookUntil ?? 0.0),
                    "{$step->key()}|{$sees($step)->value}",
                ),
            };
        }
        self::fail('The run has no end.');
    }

    /** @return iterable<string, array{string}> */
    public static function jobs(): iterable
    {
        foreach (['observatory', 'narrowboat', 'hide'] as $job) {
            yield $job => [$job];
        }
    }

    #[DataProvider('jobs')]
    public function test_who_sees_nothing_anywhere_has_joined_nothing(string $job): void
    {
        $roster = self::roster($job);
        [$run, $end] = self::answered($roster, static fn(): Observation => Observation::Nothing);
        self::assertSame([], array_filter($run->log(), static fn(Event $e): bool => $e->kind === Event::JOINED));
        self::assertSame('0 of ' . count($roster->wants) . ' controls work', $end->title);
    }

    /** The lamp shows the reset and nothing after it: that proves no join. */
    #[DataProvider('jobs')]
    public function test_a_reset_alone_joins_nothing(string $job): void
    {
        [$run] = self::answered(
            self::roster($job),
            static fn(JoinStep $s): Observation => $s->kind === 'reset' ? Observation::Expected : Observation::Nothing,
        );
        self::assertSame([], array_filter($run->log(), static fn(Event $e): bool => $e->kind === Event::JOINED));
    }

    public function test_the_last_headline_counts_the_controls_that_worked(): void
    {
        $roster = self::roster('hide');
        [, $end] = self::answered($roster, static fn(): Observation => Observation::Expected);
        $all = count($roster->wants);
        self::assertSame($all === 1 ? 'The control works' : "All {$all} controls work", $end->title);
    }

    /** A receiver that is reset for a new phone has lost its remote too. */
    public function test_a_lost_phone_links_the_remotes_of_reset_receivers_again(): void
    {
        $entry = static fn(string $id): array => Demo::shelf()->find($id)->written ?? [];
        $hub = Demo::shelf()->find('hub-rf');
        self::assertNotNull($hub);
        $plan = Circuits::in()
            ->supply('s1')
            ->controller('c1', $entry('controller-rf-2'))
            ->run('r1', 2.0, [], 's1', controller: 'c1')
            ->item('i1', 'remote', $entry('remote-rf-8'), null)
            ->plan();
        $roster = Joinable::for(
            $plan->with(hubs: ['h1' => new Device('h1', 'hub-rf')], kit: $plan->kit + ['hub-rf' => $hub]),
        )->roster;
        $phone = array_values(
            array_filter(Recovery::all($roster), static fn(Recovery $r): bool => $r->what === Recovery::PHONE),
        )[0];
        $reset = array_map(static fn(ControlledLight $w): string => $w->light, $phone->roster->wants);
        $lost = array_filter($roster->wants, static fn(ControlledLight $w): bool => in_array($w->light, $reset, true));
        self::assertGreaterThan(
            0,
            count(
                array_filter($lost, static fn(ControlledLight $w): bool => $roster->unit($w->control)->linksByHand()),
            ),
            'the job has a remote for a receiver',
        );
        self::assertEqualsCanonicalizing(
            array_map(static fn(ControlledLight $w): string => $w->key(), $lost),
            array_map(static fn(ControlledLight $w): string => $w->key(), $phone->roster->wants),
        );
    }
}
