<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Control;

use EmberDusk\Control\Assistants;
use EmberDusk\Control\ControlLimits;
use EmberDusk\Control\ControlMatrix;
use EmberDusk\Control\LimitClash;
use EmberDusk\Control\NameClash;
use EmberDusk\Control\Names;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\Recovery;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Light;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

/**
 * A made-up house: eleven lights, an assistant whose app takes 8 rooms, 20 letters and 8 presets, a remote of five zones and five presets
 * (common practice, no source), "Snug left" and "Snug lift", nine scenes that are wanted, a board that lives in the router's network.
 */
final class HouseTest extends TestCase
{
    private const NAMES = [
        'c1' => ['Bar', 'Lounge'],
        'c2' => ['Snug left', 'Snug'],
        'c3' => ['Snug lift', 'Snug'],
        'c4' => ['Stairs', 'Hall'],
        'c5' => ['Window', 'Kitchen'],
        'c6' => ['Worktop under the long cupboard', 'Kitchen'],
        'c7' => ['Mirror', 'Bath'],
        'c8' => ['Desk', 'Study'],
        'c9' => ['Bunk', 'Attic'],
        'c10' => ['Porch', 'Outside'],
    ];

    private static function house(): Plan
    {
        $leaflet = static fn(string $id): array => (array) ((Demo::shelf()->find($id)->written ?? [])['profile'] ?? []);
        $circuit = Circuits::in()
            ->supply('s1')
            ->supply('s2', ['volts' => 5.0]);
        $lights = [];
        foreach (self::NAMES as $id => [$name, $room]) {
            $circuit = $circuit
                ->controller($id, ['family' => 'zigbee', 'profile' => $leaflet('controller-zigbee-2')])
                ->run('r' . substr($id, 1), 1.0, [], 's1', controller: $id);
            $lights[$id] = new Light($id, $name, $room);
        }
        // Two more rooms than eight take the eleventh light and the tenth over the limit.
        $lights['c10'] = new Light('c10', 'Porch', 'Outside');
        $lights['c5'] = new Light('c5', 'Window', 'Larder');
        $circuit = $circuit->run('band', 2.0, ['kind' => 'pixels'], 's2');
        foreach (range(1, 9) as $n) {
            $circuit = $circuit->scene("e{$n}", ['c1' => [$n / 10]]);
        }

        return $circuit
            ->item(
                'i1',
                'assistant',
                [
                    'speaks' => ['zigbee', 'wifi'],
                    'sets' => ['single'],
                    'readsHub' => true,
                    'profile' =>
                        ['rooms' => 8, 'letters' => 20, 'presets' => 8, 'effects' => 10] + $leaflet('assistant-radio'),
                ],
                null,
            )
            ->item(
                'i2',
                'remote',
                [
                    'speaks' => ['zigbee'],
                    'sets' => ['single'],
                    'zones' => 5,
                    'profile' => ['presets' => 5] + $leaflet('remote-zigbee-4'),
                ],
                null,
            )
            ->board(
                'i3',
                [
                    'inputLeast' => 5,
                    'inputMost' => 24,
                    'outputs' => 2,
                    'pixelsPerOutput' => 1024,
                    'jumpers' => 'none',
                    'trial' => false,
                    'fused' => true,
                    'family' => 'wifi',
                    'profile' => $leaflet('board-screw'),
                ],
                'band',
            )
            ->plan()
            ->with(
                lights: $lights,
                scenes: array_combine(
                    array_map(static fn(int $n): string => "e{$n}", range(1, 9)),
                    array_map(
                        static fn(int $n): Scene => new Scene(
                            "e{$n}",
                            ['Supper', 'Film', 'Guests', 'Morning', 'Late', 'Reading', 'Cooking', 'Away', 'Party'][
                                $n - 1
                            ],
                            levels: ['c1' => [$n / 10]],
                        ),
                        range(1, 9),
                    ),
                ),
            );
    }

    public function test_every_clash_is_named_with_a_proposal(): void
    {
        $plan = self::house();
        $names = [];
        foreach (Names::for($plan)->clashes() as $clash) {
            $names[$clash->light] = $clash->code;
            self::assertNotSame('', $clash->instead, $clash->title);
        }
        self::assertSame(['c3' => NameClash::ALIKE, 'c6' => NameClash::LONG], $names);

        $limits = ControlLimits::for($plan);
        self::assertSame(
            [LimitClash::ROOMS, LimitClash::PRESETS, LimitClash::PRESETS],
            array_map(static fn(LimitClash $c): string => $c->code, $limits),
        );
        $says = implode(' ', array_map(static fn(LimitClash $c): string => "{$c->title}. {$c->detail}", $limits));
        self::assertStringContainsString('has 8 rooms, 9 are needed', $says);
        self::assertStringContainsString('stores 8 presets, 9 scenes are planned', $says);
        self::assertStringContainsString('stores 5 presets, 9 scenes are planned', $says);
        self::assertStringNotContainsString('No preset is left', $says, 'thirteen presets hold nine scenes');

        // Ten lights on five zones: each one without a zone gets a partner to share with.
        $merges = ControlMatrix::for($plan, [])->merges();
        self::assertSame(
            ['c6', 'c7', 'c8', 'c9', 'c10'],
            array_map(static fn(array $m): string => $m['light']->id, $merges),
        );
        foreach ($merges as $merge) {
            self::assertContains($merge['zone'], range(1, 5));
        }
    }

    /** The names that are proposed clash with nothing when they are taken. */
    public function test_the_proposed_names_are_good(): void
    {
        $plan = self::house();
        foreach (Names::for($plan)->clashes() as $clash) {
            $plan = Catalogue::read(
                [
                    'kind' => 'NameLight',
                    'controller' => $clash->light,
                    'name' => $clash->instead,
                    'room' => $plan->lights[$clash->light]->room,
                ],
                Demo::shelf(),
            )->apply($plan);
        }
        self::assertSame([], Names::for($plan)->clashes());
    }

    public function test_all_but_the_bar_lights_the_right_ones(): void
    {
        $spoken = (new Assistants(self::house()))->say('all but the bar, 30 %');
        $answers = $not = [];
        foreach ($spoken->answers as $answer) {
            if ($answer->answers) {
                $answers[] = $answer->light;
                self::assertEqualsWithDelta(0.3, $answer->level, 0.005);
            } else {
                $not[] = $answer->light;
            }
        }
        self::assertSame(['c2', 'c3', 'c4', 'c5', 'c6', 'c7', 'c8', 'c9', 'c10'], $answers);
        self::assertSame(['i3'], $not, 'the board is on no assistant');
    }

    /** The router changes, and then the phone is lost: each guide ends with every control that it concerns working. */
    public function test_the_router_changes_and_then_the_phone_is_lost(): void
    {
        $roster = Joinable::for(self::house(), new TimingMethod(proves: false))->roster;
        foreach ([Recovery::ROUTER, Recovery::PHONE] as $what) {
            $guide = array_values(
                array_filter(Recovery::all($roster), static fn(Recovery $r): bool => $r->what === $what),
            )[0];
            self::assertNotSame([], $guide->roster->wants, $what);
            self::assertGreaterThan(2, count($guide->steps()), $what);
            foreach (range(1, 3) as $seed) {
                $done = $guide->rehearsed($seed);
                self::assertTrue($done->works(), "{$what}, seed {$seed}");
                self::assertCount(count($guide->roster->wants), $done->tried);
                self::assertTrue($done->works());
            }
        }
    }
}
