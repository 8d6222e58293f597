<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining\Families\Zigbee;

use EmberDusk\Joining\Event;
use EmberDusk\Joining\Families\Zigbee\StandIn\Site;
use EmberDusk\Joining\Kit;
use EmberDusk\Joining\LiveRun;
use EmberDusk\Joining\Order;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\Words;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

final class GuideTest extends TestCase
{
    private static function live(): LiveRun
    {
        return new LiveRun(Kit::of(Demo::plan()), 3, []);
    }

    public function test_the_steps_come_in_the_one_correct_order(): void
    {
        $run = self::live();
        $kinds = [];
        $do = static function (string $kind, string $device, float $at, int $presses = 1, string $text = '') use (
            $run,
            &$kinds,
        ): void {
            $run->settle($at);
            $kinds[] = $run->next($at)->kind;
            $run->act($kind, $device, $at, $presses, $text);
        };
        $do('power-on', 'c1', 1);
        $do('search', 'h1', 20);
        $do('press', 'c1', 22, 5);
        $do('saw-reset', 'c1', 26);
        $do('saw-joined', 'c1', 28);
        $run->settle(45);
        $do('toggle', 'c1', 46);
        $do('identified', 'c1', 48);
        $do('named', 'c1', 55, text: 'Cove, Hall');
        self::assertSame(
            ['power', 'search', 'reset', 'look-reset', 'look-joined', 'toggle', 'identify', 'name'],
            $kinds,
        );
        self::assertTrue($run->done(56));
    }

    public function test_a_window_that_nothing_could_use_is_noticed_explained_and_repeated(): void
    {
        $run = self::live();
        $run->act('power-on', 'c1', 0);
        $run->act('press', 'c1', 20, 5);
        self::assertSame([], $run->settle(36.3));
        $missed = $run->settle(36.5);
        self::assertSame('missed', $missed[0]->kind);
        self::assertStringContainsString('listened from 0:21 to 0:36 and no hub was searching', $missed[0]->text);
        self::assertSame([], $run->settle(40), 'told once');
        $next = $run->next(40);
        self::assertSame('search', $next->kind);
        self::assertStringContainsString('no hub was searching', $next->alert);
        $run->act('search', 'h1', 41);
        self::assertSame('reset', $run->next(42)->kind);
    }

    public function test_a_search_that_met_the_window_too_briefly_is_told_apart(): void
    {
        $run = self::live();
        $run->act('power-on', 'c1', 0);
        $run->act('press', 'c1', 20, 5);
        $run->act('search', 'h1', 21.4 + 13);
        $missed = $run->settle(37);
        self::assertStringContainsString('met for 2.0 s only; joining takes 3.5 s', $missed[0]->text ?? '');
    }

    public function test_nothing_seen_by_the_end_of_the_window_is_a_miss_and_before_it_is_not(): void
    {
        $run = self::live();
        $run->act('power-on', 'c1', 0);
        $run->act('search', 'h1', 20);
        $run->act('press', 'c1', 22, 5);
        $run->act('saw-reset', 'c1', 23.5);
        $run->act('saw-nothing', 'c1', 24);
        self::assertSame('look-joined', $run->next(25)->kind);
        self::assertStringContainsString('Keep looking', $run->next(25)->why);
    }

    public function test_presses_that_are_too_slow_are_told(): void
    {
        $run = self::live();
        $run->act('power-on', 'c1', 0);
        $run->act('search', 'h1', 20);
        foreach ([22, 23, 24, 25, 26] as $at) {
            $run->act('press', 'c1', $at);
        }
        self::assertSame('reset', $run->next(27)->kind);
        self::assertStringContainsString('5 presses in 4.0 s do not count: 5 within 3 s', $run->next(27)->alert);
    }

    public function test_another_light_sends_back_to_switching(): void
    {
        $run = self::live();
        $run->act('power-on', 'c1', 0);
        $run->act('search', 'h1', 20);
        $run->act('press', 'c1', 22, 5);
        $run->settle(45);
        $run->act('toggle', 'c1', 46);
        $run->act('not-identified', 'c1', 47);
        self::assertSame('toggle', $run->next(48)->kind);
    }

    public function test_an_answer_to_a_step_that_has_passed_is_refused(): void
    {
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('moved on');
        self::live()->act('saw-joined', 'c1', 1);
    }

    public function test_a_device_that_is_not_there_is_refused(): void
    {
        $this->expectExceptionMessage('“c7” is no device of this run');
        self::live()->act('power-on', 'c7', 1);
    }

    /** Whatever the chance, the hands come to the end with the light joined; a hasty start costs exactly one window. */
    public function test_every_rehearsal_ends_joined(): void
    {
        $kit = Kit::of(Demo::plan());
        foreach (range(1, 60) as $seed) {
            foreach ([false, true] as $hasty) {
                $log = Rehearsal::run($kit, $seed, $hasty);
                self::assertTrue(Site::after($kit, $seed, $log, 1000)->isJoined('c1'), "seed {$seed}");
                self::assertCount(
                    (int) $hasty,
                    array_filter($log, static fn(Event $e): bool => $e->kind === 'missed'),
                    "seed {$seed}",
                );
            }
        }
    }

    /** The order rule matters: hands that never start the search first end with nothing joined. */
    public function test_without_the_search_nothing_joins(): void
    {
        $kit = Kit::of(Demo::plan());
        $log = array_values(array_filter(Rehearsal::run($kit, 1), static fn(Event $e): bool => $e->kind !== 'search'));
        self::assertFalse(Site::after($kit, 1, $log, 1000)->isJoined('c1'));
    }

    public function test_the_printed_order_is_the_guides(): void
    {
        $titles = array_column(Order::of(Kit::of(Demo::plan())), 'title');
        self::assertSame('Switch C1 on, the others off', $titles[0]);
        self::assertLessThan(
            array_search('Press PROG on C1 5 times, quickly', $titles, true),
            array_search('Press Search in the hub’s app', $titles, true),
        );
        self::assertSame('Name “Light 1”', $titles[count($titles) - 1]);
    }

    public function test_a_gesture_is_one_line_of_the_log(): void
    {
        $kit = Kit::of(Demo::plan());
        $lines = array_column(Words::lines(Rehearsal::run($kit, 2), $kit), 'text');
        self::assertContains('C1: PROG pressed 5 times', $lines);
        self::assertCount(1, array_filter($lines, static fn(string $l): bool => str_contains($l, 'pressed')));
    }

    public function test_a_plan_without_hub_cannot_be_joined_yet(): void
    {
        $this->expectExceptionMessage('Choose a controller and a hub at Kit first');
        Kit::of(new Plan('Bare', ''));
    }
}
