<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\LiveRun;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\Order\Order;
use EmberDusk\Joining\StepAnswer;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use EmberDusk\Values\OutOfTurn;
use PHPUnit\Framework\TestCase;

/** A run on site with hands that are slow, or answer too early: windows belong to the gesture, not to the answer. */
final class HumanHandsTest extends TestCase
{
    private const LISTENS = 15.0;

    /** Reset by five presses; unjoined it then listens for 15 s. */
    private static function begun(): LiveRun
    {
        $roster = Bench::roster([Bench::zigbee(), Bench::hub()], [['h1', 'c1']]);

        return new LiveRun($roster, Order::for($roster), 1, onSite: true);
    }

    /** @return array{JoinStep, float} the reset, and the run second at which it is asked for */
    private static function toReset(LiveRun $run): array
    {
        for ($now = 10.0; $run->next($now)->kind !== 'reset'; $now += 5.0) {
            $run->work($run->next($now)->key(), $now);
        }

        return [$run->next($now), $now];
    }

    private static function message(callable $does): string
    {
        try {
            $does();
        } catch (OutOfTurn $refused) {
            return $refused->getMessage();
        }

        return '';
    }

    public function test_hands_on_site_have_ended_with_the_press(): void
    {
        $run = self::begun();
        [$reset, $now] = self::toReset($run);
        // “Done, look now” is pressed after the presses, ten seconds after the step was read.
        $new = $run->work($reset->key(), $now + 10.0);
        $presses = array_column(array_filter($new, static fn(Event $e): bool => $e->kind === Act::PRESS), 'at');
        self::assertCount(5, $presses);
        self::assertSame($now + 10.0, max([0.0, ...$presses]));
        self::assertGreaterThan($now, min([1e9, ...$presses]));
    }

    /** The reset is done at 40 s and answered at 48 s, when the join has flashed already: it listens until 55 s, not until 63 s. */
    public function test_a_window_begins_with_the_gesture_and_not_with_a_late_answer(): void
    {
        $run = self::begun();
        [$reset, $now] = self::toReset($run);
        $run->work($reset->key(), $now + 10.0);
        $run->act(Event::SAW, 'c1', $now + 18.0, "{$reset->key()}|expected");
        $joined = $run->next($now + 18.0);
        self::assertSame([$now + 10.0, $now + 10.0 + self::LISTENS], $joined->window);
        self::assertSame($now + 10.0 + self::LISTENS, $joined->lookUntil);
    }

    /** Reset and join follow each other within seconds: one card, two patterns, one window, and one answer for both. */
    public function test_reset_and_join_are_one_card(): void
    {
        $run = self::begun();
        [$reset, $now] = self::toReset($run);
        self::assertSame('joined', $reset->then?->kind);
        $answers = array_map(static fn(StepAnswer $a): string => $a->label, $reset->answers(onSite: true));
        self::assertSame(
            [
                'Done, look now',
                'Saw the second',
                'Only the first',
                'Another pattern seen',
                'Several flashes, not counted',
                'Nothing seen',
            ],
            $answers,
        );
        $run->work($reset->key(), $now + 10.0);
        self::assertSame([$now + 10.0, $now + 10.0 + self::LISTENS], $run->next($now + 11.0)->window);
        $run->act(Event::SAW, 'c1', $now + 18.0, "{$reset->then->key()}|expected");
        self::assertSame('listed', $run->next($now + 19.0)->kind);
        self::assertArrayHasKey($reset->task, $run->progress()->marks->proven);
    }

    /** The second pattern did not come: the card goes on with it, in the same window, and a miss goes back to the reset. */
    public function test_the_first_of_two_patterns_alone_proves_no_join(): void
    {
        $run = self::begun();
        [$reset, $now] = self::toReset($run);
        $run->work($reset->key(), $now + 10.0);
        $run->act(Event::SAW, 'c1', $now + 12.0, "{$reset->key()}|expected");
        self::assertArrayNotHasKey($reset->task, $run->progress()->marks->proven);
        $joined = $run->next($now + 13.0);
        self::assertSame(['joined', null], [$joined->kind, $joined->then]);
        $run->act(Event::SAW, 'c1', $now + 26.0, "{$joined->key()}|nothing");
        $again = $run->next($now + 27.0);
        while ($again->look === Look::Hand) {
            $run->work($again->key(), $now += 30.0);
            $again = $run->next($now + 1.0);
        }
        self::assertSame(['reset', 'joined'], [$again->kind, $again->then?->kind]);
    }

    /** Nothing at all is an answer to the first pattern: no second can be denied before the first. */
    public function test_the_second_pattern_is_not_denied_before_the_first(): void
    {
        $run = self::begun();
        [$reset, $now] = self::toReset($run);
        $run->work($reset->key(), $now + 10.0);
        $denied = static fn() => $run->act(Event::SAW, 'c1', $now + 40.0, "{$reset->then?->key()}|nothing");
        self::assertSame('The run has moved on: that answers an earlier step.', self::message($denied));
        $run->act(Event::SAW, 'c1', $now + 40.0, "{$reset->key()}|nothing");
        self::assertSame(1, $run->progress()->marks->missed);
    }

    /** The way through the app takes 26 s, joining 6 s, 5 s to spare: a window of 15 s is too short for “reset, then search”. */
    public function test_a_method_that_does_not_fit_is_not_used_and_says_why(): void
    {
        $of = static function (string $timing): string {
            $roster = Bench::roster([Bench::zigbee(), Bench::hub()], [['h1', 'c1']])->in(new TimingMethod($timing));
            $run = new LiveRun($roster, Order::for($roster), 1, onSite: true);

            return self::toReset($run)[0]->why;
        };
        $says = '“Reset, then search” is not used here: app and joining need 37 s, it listens 15 s.';
        self::assertStringContainsString($says, $of(TimingMethod::RESET_FIRST));
        self::assertStringNotContainsString('not used', $of(TimingMethod::SEARCH_FIRST));
    }

    /** No “Done” was pressed: the pattern that was seen tells how long ago the gesture was. */
    public function test_a_window_without_a_logged_gesture_begins_before_the_pattern(): void
    {
        $run = self::begun();
        [$reset, $now] = self::toReset($run);
        $run->act(Event::SAW, 'c1', $now + 12.0, "{$reset->key()}|expected");
        $from = $run->next($now + 12.0)->window[0] ?? self::fail('no window');
        self::assertEqualsWithDelta($now + 12.0 - ($reset->expect?->seconds() ?? 0.0), $from, 1e-9);
        self::assertLessThan($now + 12.0, $from);
    }

    /** The app stopped by itself or by a thumb: the search is started again before anything depends on it. */
    public function test_a_search_that_has_stopped_is_started_again(): void
    {
        foreach ([true, false] as $site) {
            $roster = Bench::roster([Bench::zigbee(), Bench::hub()], [['h1', 'c1']]);
            $run = new LiveRun($roster, Order::for($roster), 1, onSite: $site);
            self::assertNull($run->progress()->field->end($run->next(0.0), 0.0), 'no search runs yet');
            [$reset, $now] = self::toReset($run);
            $end = new Act(Act::TAP, 'h1', 'end');
            self::assertEquals($end, $run->progress()->field->end($reset, $now));
            $run->act($end->kind, $end->device, $now + 1.0, $end->text);
            self::assertNull(
                $run
                    ->site()
                    ?->device('h1')
                    ->opens('zigbee', $now + 1.5),
            );
            $again = $run->next($now + 2.0);
            self::assertSame('search h1', $again->kind);
            self::assertNull($run->progress()->field->end($again, $now + 2.0));
            $run->work($again->key(), $now + 30.0);
            self::assertSame('reset', $run->next($now + 31.0)->kind);
        }
    }

    /** A cause that is checked and not there is excluded; a very likely one stays: one look can be wrong. */
    public function test_an_answer_excludes_causes_by_name(): void
    {
        $run = self::begun();
        [$reset, $now] = self::toReset($run);
        foreach ([30.0, 60.0] as $later) {
            $run->act(Event::SAW, 'c1', $now + $later, "{$reset->key()}|nothing");
        }
        $inquiry = $run->progress()->inquiry;
        $says = static fn(JoinStep $check): string => array_values(
            array_filter($inquiry->ranked(), static fn(array $r): bool => $r[0]->code === $check->kind),
        )[0][0]->says;
        $dead = $run->next($now + 61.0);
        self::assertSame(Look::Mend, $dead->look);
        $run->act(Event::MENDED, $dead->device, $now + 70.0, "{$dead->kind}|no");
        self::assertSame([], $inquiry->ruledOut(0.005));
        self::assertSame($says($dead), $inquiry->ranked()[0][0]->says);
        foreach ([80.0, 100.0] as $later) {
            $check = $run->next($now + $later);
            $named = $says($check);
            $run->act(Event::MENDED, $check->device, $now + $later + 9.0, "{$check->kind}|no");
            self::assertSame([$named], $inquiry->ruledOut(0.005));
        }
    }

    /** One search, two controllers: a note about the first is shown with the first; the second says who was left for later. */
    public function test_a_note_is_shown_with_its_own_device(): void
    {
        $roster = Bench::roster(
            [Bench::zigbee(), Bench::zigbee('c2', 3.0), Bench::hub()],
            [['h1', 'c1'], ['h1', 'c2']],
        );
        $run = new LiveRun($roster, Order::for($roster), 1, onSite: true);
        $notes = [];
        $failed = '';
        for ($now = 5.0, $n = 0; $n < 20; $n++, $now += 5.0) {
            $step = $run->next($now);
            $notes[$step->device][$step->alert] = true;
            $seen = $run->progress()->marks->missed === 0 ? 'nothing' : 'expected';
            if ($step->look->value === 'lamp' && $failed === '') {
                $failed = $step->device;
            }
            match ($step->look) {
                Look::Hand => $run->work($step->key(), $now),
                Look::List => $run->act(Event::FOUND, 'h1', $now, 'Light 1'),
                Look::Name => $run->act(Event::NAMED, $step->device, $now, 'Name, Room'),
                default => $run->act(Event::SAW, $step->device, $now, "{$step->key()}|{$seen}"),
            };
        }
        $other = $failed === 'c1' ? 'c2' : 'c1';
        $said = static fn(string $device): array => array_filter(array_keys($notes[$device] ?? []));
        foreach ($said($failed) as $note) {
            self::assertStringStartsWith('Nothing seen', $note);
        }
        $label = strtoupper($failed);
        self::assertNotSame([], $said($failed));
        self::assertSame(
            ["Joining {$label}, run {$failed} to H1: nothing seen. It comes again later."],
            array_values($said($other)),
        );
    }

    /** A rehearsal knows that no hand has touched the device; on site the hands may have been quicker than the screen. */
    public function test_nothing_is_seen_of_a_gesture_before_it_is_made(): void
    {
        foreach ([true, false] as $site) {
            $roster = Bench::roster([Bench::zigbee(), Bench::hub()], [['h1', 'c1']]);
            $run = new LiveRun($roster, Order::for($roster), 1, onSite: $site);
            [$reset, $now] = self::toReset($run);
            foreach (["{$reset->key()}|expected", "{$reset->then?->key()}|expected"] as $answer) {
                $said = self::message(static fn() => $run->act(Event::SAW, 'c1', $now + 9.0, $answer));
                self::assertSame(!$site, str_starts_with($said, 'Do it first, then say what you saw: Press'));
                if ($site) {
                    break;
                }
            }
        }
    }

    /** Done without the act: a rehearsal names the missing act. */
    public function test_done_without_the_act_names_the_act(): void
    {
        $roster = Bench::roster([Bench::zigbee(), Bench::hub()], [['h1', 'c1']]);
        $run = new LiveRun($roster, Order::for($roster), 1);
        $done = static fn(float $at) => $run->act(Event::DONE, $run->next($at)->device, $at, $run->next($at)->key());
        self::assertSame('Not done yet: Switch C1 on.', self::message(static fn() => $done(5.0)));
        self::assertSame([], $run->log(), 'it is not logged');
        $run->act(Act::ON, 'c1', 6.0);
        self::assertSame('Not done yet: Press Search in the hub’s app.', self::message(static fn() => $done(7.0)));
        $run->act(Act::TAP, 'h1', 8.0, 'search');
        self::assertSame('reset', $run->next(9.0)->kind);
    }

    public function test_nothing_is_no_answer_while_a_sign_may_still_come(): void
    {
        $run = self::begun();
        [$reset, $now] = self::toReset($run);
        $run->work($reset->key(), $now + 10.0);
        $run->act(Event::SAW, 'c1', $now + 12.0, "{$reset->key()}|expected");
        $joined = $run->next($now + 14.0);
        $ends = $joined->lookUntil ?? self::fail('no end');
        $early = static fn() => $run->act(Event::SAW, 'c1', $ends - 7.5, "{$joined->key()}|nothing");
        self::assertSame('Keep looking: it may still come for 8 s.', self::message($early));
        self::assertSame(0, $run->progress()->marks->missed, 'it is not logged');
        $run->act(Event::SAW, 'c1', $ends, "{$joined->key()}|nothing");
        self::assertSame(1, $run->progress()->marks->missed);
    }

    /** A light that opens to links by itself, from 15 s to 169 s after power-up: the link is not done before, and its window is its own. */
    public function test_a_link_waits_until_the_light_listens(): void
    {
        $roster = Bench::roster(
            [
                new Unit(
                    id: 'c1',
                    name: 'Run c1',
                    role: Unit::LIGHT,
                    family: 'zigbee',
                    way: 'zigbee',
                    leaflet: Bench::leaflet(
                        ['reset' => 'press PROG 5 in 3'],
                        ['listens' => 15, 'takesLeast' => 3, 'takesMost' => 6, 'linkFrom' => 15, 'linkUntil' => 169],
                    ),
                    place: 'table',
                    at: [0.0, 0.0],
                    kind: 'tunable',
                ),
                Bench::remote(),
            ],
            [['r1', 'c1', 1]],
        );
        $run = new LiveRun($roster, Order::for($roster), 1, onSite: true);
        $now = 10.0;
        for ($n = 0; $n < 30 && $run->next($now)->kind !== 'link'; $n++, $now += 5.0) {
            $step = $run->next($now);
            if ($step->look === Look::Hand) {
                $run->work($step->key(), $now);
            } else {
                $run->act(Event::SAW, $step->device, $now, "{$step->key()}|expected");
            }
        }
        $link = $run->next($now);
        $on = array_filter($run->log(), static fn(Event $e): bool => $e->kind === Act::ON && $e->device === 'c1');
        $up = max([0.0, ...array_column($on, 'at')]);
        self::assertSame([$up + 15.0, $up + 169.0], $link->window);
        $early = static fn() => $run->work($link->key(), $up + 6.0);
        self::assertSame('Too early: wait 9 s more.', self::message($early));
        self::assertNotSame([], $run->work($link->key(), $up + 15.0));
    }
}
