<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Flaws;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\LiveRun;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Order\Order;
use EmberDusk\Joining\Person;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** People who are slow, hurried, careless or without signal follow the guide: what they miss costs them time, and nothing else. */
final class PeopleTest extends TestCase
{
    /** @return iterable<string, array{Person, int}> */
    public static function people(): iterable
    {
        foreach (array_values(Person::kinds()) as $n => $person) {
            yield array_keys(Person::kinds())[$n] => [$person, $n];
        }
    }

    /** Six jobs for each kind of person, half of them with a fault; bin/bench takes 300. */
    #[DataProvider('people')]
    public function test_every_job_ends_well_in_these_hands(Person $person, int $kind): void
    {
        for ($n = 0; $n < 6; $n++) {
            $seed = 1 + 5 * $n + $kind;
            $roster = SeededRoster::of($seed);
            $all = array_values((new Flaws($roster))->for());
            $flaws = $n % 2 === 0 ? [] : [$all[(7 * $seed) % count($all)]];
            $done = Rehearsal::run($roster, $seed, $flaws, person: $person);
            self::assertTrue($done->works() || $done->aside !== [], "seed {$seed}: it works, or it says what does not");
            self::assertSame([], self::claimed($done), "seed {$seed}: every control reported as working works");
            self::assertSame([], self::askedTwice($done), "seed {$seed}");
            $more = self::resets($done) - self::resets(Rehearsal::run($roster, $seed, $flaws));
            self::assertLessThanOrEqual(
                $done->run->progress()->marks->missed,
                $more,
                "seed {$seed}: resets after a miss only",
            );
        }
    }

    /** @return list<string> trials that the guide counts as passed and that fail on the devices */
    private static function claimed(Rehearsal $done): array
    {
        $proven = $done->run->progress()->marks->proven;
        $wrong = [];
        foreach ($done->tried as $of => $seen) {
            if (isset($proven["accept {$of}"]) && $seen !== Observation::Expected) {
                $wrong[] = $of;
            }
        }

        return $wrong;
    }

    /** @return list<string> causes that were asked about again although no hands had done anything */
    private static function askedTwice(Rehearsal $done): array
    {
        $asked = $twice = [];
        foreach ($done->run->log() as $event) {
            if ($event->kind === Event::MENDED) {
                $key = "{$event->text}@{$event->device}";
                $twice = isset($asked[$key]) ? [...$twice, $key] : $twice;
                $asked[$key] = true;
            } elseif (in_array($event->kind, Act::HANDS, true)) {
                $asked = [];
            }
        }

        return $twice;
    }

    private static function resets(Rehearsal $done): int
    {
        return count(
            array_filter(
                $done->run->log(),
                static fn(Event $e): bool => $e->kind === Event::DONE && $e->step?->kind === 'reset',
            ),
        );
    }

    /** A receiver learns for 6 s: its key and the app's are one step, and late hands get a note and no questions. */
    public function test_gestures_within_seconds_are_one_step(): void
    {
        $run = self::receiver();
        $step = self::until($run, 'swipe', 10.0);
        self::assertSame(
            'Press KEY on C1, then at once press the key that binds in the app while C1 learns',
            $step->title,
        );
        self::assertSame([Act::GESTURE, Act::TAP], array_map(static fn(Act $a): string => $a->kind, $step->acts));
        self::assertNull($step->window, 'it begins with its own first key');
    }

    /** A remote is held to a lamp that listens from 15 s to 60 s after power-on, and comes at 75 s: nothing seen blames no device. */
    public function test_hands_that_come_after_the_window_are_no_evidence(): void
    {
        $lamp = Bench::leaflet(
            ['reset' => 'press PROGRAM 5 in 3'],
            ['listens' => 15, 'linkFrom' => 15, 'linkUntil' => 60, 'takesLeast' => 5, 'takesMost' => 8],
        );
        $light = new Unit('c1', 'Run', Unit::LIGHT, 'zigbee', 'zigbee', $lamp, 'table', kind: 'tunable');
        $roster = Bench::roster([$light, Bench::remote()], [['r1', 'c1', 1]]);
        $run = new LiveRun($roster, Order::for($roster), 1, onSite: true);
        $step = self::until($run, 'link', 10.0);
        self::assertNotNull($step->window);
        $late = $step->window[1] + 15.0;
        $run->work($step->key(), $late);
        $run->act(Event::SAW, 'r1', $late + 10.0, "{$step->key()}|nothing");
        $again = $run->next($late + 12.0);
        self::assertStringContainsString('15 s too late', $again->alert);
        self::assertSame(Look::Hand, $again->look, 'the lamp is switched off and on again');
        self::assertSame([0, null], [$run->progress()->marks->missed, $run->progress()->inquiry->failing()]);
    }

    public function test_the_same_answer_on_two_phones_counts_once(): void
    {
        $roster = Bench::roster([Bench::zigbee(), Bench::hub()], [['h1', 'c1']]);
        $run = new LiveRun($roster, Order::for($roster), 1, onSite: true);
        $step = self::until($run, 'reset', 10.0);
        $run->work($step->key(), 60.0);
        $presses = count($run->log());
        self::assertSame([], $run->work($step->key(), 61.0), 'pressed twice');
        self::assertCount($presses, $run->log());
        $until = (float) $run->next(61.0)->lookUntil;
        $run->act(Event::SAW, 'c1', $until, "{$step->key()}|nothing");
        self::assertSame([], $run->act(Event::SAW, 'c1', $until + 2.0, "{$step->key()}|nothing"));
        self::assertSame(1, $run->progress()->marks->missed);
    }

    /** Two remotes beside a hub: the trials without the hub end with its power back, although the last of them was given up. */
    public function test_power_that_was_taken_away_is_given_back(): void
    {
        $remote = Bench::remote();
        $second = new Unit(
            'r2',
            'Other remote',
            Unit::REMOTE,
            $remote->family,
            $remote->way,
            $remote->leaflet,
            'table',
            zones: 4,
        );
        $roster = Bench::roster(
            [Bench::zigbee(), Bench::zigbee('c2', 9.0), Bench::hub(), Bench::remote(), $second],
            [['h1', 'c1'], ['h1', 'c2'], ['r1', 'c1', 1], ['r2', 'c2', 1]],
        );
        $run = new LiveRun($roster, Order::for($roster), 1, onSite: true);
        $asked = [];
        for ($n = 0, $now = 10.0; $n < 600 && $run->next($now)->look !== Look::End; $n++) {
            $step = $run->next($now);
            $now = max($now, $step->window[0] ?? 0.0);
            $asked[] = $step->kind;
            $lost = str_contains($step->task, 'r2') && $step->kind === 'link';
            self::answer($run, $step, $now, $lost ? 'nothing' : 'expected');
            $now += 10.0;
        }
        self::assertContains('hubless', $asked);
        self::assertSame('hub-back', $asked[count($asked) - 1]);
    }

    /** Its lamp said that it joined, and the list has no new line: the list is looked through once more before anything is reset. */
    public function test_a_joined_light_that_is_not_listed_is_looked_for_first(): void
    {
        $roster = Bench::roster([Bench::zigbee(), Bench::hub()], [['h1', 'c1']]);
        $run = new LiveRun($roster, Order::for($roster), 1, onSite: true);
        $step = self::until($run, 'listed', 10.0);
        $now = ($step->window[1] ?? 0.0) + 1.0;
        $run->act(Event::SAW, $step->device, $now, "{$step->key()}|nothing");
        $again = $run->next($now + 5.0);
        self::assertSame(['listed', Look::List], [$again->kind, $again->look]);
        self::assertStringContainsString('Scroll through the whole list', $again->alert);
        $run->act(Event::SAW, $step->device, $now + 10.0, "{$step->key()}|nothing");
        self::assertNotSame('listed', $run->next($now + 12.0)->kind, 'then its causes are looked for');
    }

    /** The hub works the light, the remote does not, and no cause is found: the remote is begun again, the light is left alone. */
    public function test_a_working_light_is_not_reset_for_a_failing_remote(): void
    {
        $roster = Bench::roster([Bench::zigbee(), Bench::hub(), Bench::remote()], [['h1', 'c1'], ['r1', 'c1', 1]]);
        $run = new LiveRun($roster, Order::for($roster), 1, onSite: true);
        $resets = [];
        for ($n = 0, $now = 10.0; $n < 300 && $run->next($now)->look !== Look::End; $n++) {
            $step = $run->next($now);
            $now = max($now, $step->window[0] ?? 0.0);
            if ($step->kind === 'reset') {
                $resets[] = $step->device;
            }
            self::answer($run, $step, $now, $step->task === 'accept r1 c1' ? 'nothing' : 'expected');
            $now += 10.0;
        }
        self::assertSame(['c1' => 1, 'r1' => 2], array_count_values(self::sorted($resets)));
        self::assertArrayHasKey('accept r1 c1', $run->progress()->marks->aside);
    }

    /**
     * @param  list<string>  $of
     * @return list<string>
     */
    private static function sorted(array $of): array
    {
        sort($of);

        return $of;
    }

    private static function answer(LiveRun $run, JoinStep $step, float $now, string $seen): void
    {
        match ($step->look) {
            Look::Hand => $run->work($step->key(), $now),
            Look::Name => $run->act(Event::NAMED, $step->device, $now, 'Run, Hall'),
            Look::Mend => $run->act(Event::MENDED, $step->device, $now, "{$step->kind}|no"),
            Look::List => $run->act(Event::FOUND, $step->device, $now, 'Light ' . count($run->log())),
            default => self::look($run, $step, $now, $seen),
        };
    }

    private static function look(LiveRun $run, JoinStep $step, float $now, string $seen): void
    {
        if ($step->acts !== [] && $step->look !== Look::Try) {
            $run->work($step->key(), $now);
        }
        $run->act(
            Event::SAW,
            $step->device,
            max($now, $run->next($now)->lookUntil ?? $now) + 4.0,
            "{$step->key()}|{$seen}",
        );
    }

    private static function receiver(): LiveRun
    {
        $receiver = new Unit(
            id: 'c1',
            name: 'Run',
            role: Unit::LIGHT,
            family: 'receiver',
            way: 'rf',
            leaflet: Bench::leaflet(['reset' => 'press KEY 6 in 4', 'join' => 'press KEY'], ['listens' => 6]),
            place: 'table',
            kind: 'tunable',
        );
        $hub = new Unit('h1', 'Hub', Unit::HUB, 'receiver', 'wifi', Bench::leaflet([], ['search' => 60]), 'table');
        $roster = Bench::roster([$receiver, $hub], [['h1', 'c1']]);

        return new LiveRun($roster, Order::for($roster), 1, onSite: true);
    }

    /** The first step of a kind, everything before it done as expected. */
    private static function until(LiveRun $run, string $kind, float $now): JoinStep
    {
        for ($n = 0; $n < 40 && $run->next($now)->kind !== $kind; $n++, $now += 5.0) {
            self::answer($run, $run->next($now), $now, 'expected');
        }

        return $run->next($now);
    }
}
