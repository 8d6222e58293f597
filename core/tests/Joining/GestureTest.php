<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Profiles\Behaviour;
use EmberDusk\Kit\Profiles\Gesture;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Gestures as typed from instructions, and impossible instructions. */
final class GestureTest extends TestCase
{
    /** @return iterable<string, array{string, string, float}> typed, in words, seconds of an even hand */
    public static function gestures(): iterable
    {
        yield 'presses' => ['press PROG 5 in 3', 'press PROG 5 times within 3 s', 1.4];
        yield 'one press' => ['press MEET', 'press MEET', 0.0];
        yield 'quicker than an even hand' => ['press SET 9 in 2', 'press SET 9 times within 2 s', 2.0];
        yield 'a hold and presses' => [
            'hold ON until lit; press ON 4',
            'hold ON until its lamp lights, then press ON 4 times',
            3.55,
        ];
        yield 'a hold' => ['hold PIN 5', 'hold PIN for 5 s', 5.0];
        yield 'power' => ['cycle 3 in 6', 'switch the power off and on 3 times within 6 s', 2.4];
        yield 'a decimal comma' => ['hold zone 2,5', 'hold zone for 2.5 s', 2.5];
    }

    #[DataProvider('gestures')]
    public function test_a_gesture_is_read_said_and_written_again(string $typed, string $words, float $seconds): void
    {
        $gesture = Gesture::read($typed);
        self::assertSame($words, $gesture->words());
        self::assertEqualsWithDelta($seconds, $gesture->takes(), 1e-9);
        self::assertEquals($gesture, Gesture::read($gesture->write()));
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> instructions, pointer, words */
    public static function faults(): iterable
    {
        yield 'no verb' => [['link' => 'PROG 5'], '/link', 'not part of a gesture'];
        yield 'too often' => [['link' => 'press PROG 25'], '/link', '1 to 20 times'];
        yield 'no time' => [['link' => 'hold PROG 0'], '/link', 'more than 0'];
        yield 'a window of nothing' => [['listens' => 0], '/listens', 'outside 1'];
        yield 'a pattern without end' => [['joined' => [0.2, 900]], '/joined/1', 'outside'];
        yield 'longest before shortest' => [
            ['takesLeast' => 5, 'takesMost' => 3],
            '/takesMost',
            'shorter than the shortest',
        ];
        yield 'link window that ends before it begins' => [
            ['linkFrom' => 20, 'linkUntil' => 10],
            '/linkUntil',
            'shorter',
        ];
        yield 'two gestures that are one' => [
            ['reset' => 'press PROG 5 in 3', 'link' => 'press prog 5 in 2'],
            '/link',
            'cannot tell its reset from its link',
        ];
        yield 'key and presses beside the same gesture' => [
            ['key' => 'PROG', 'presses' => 4, 'pressesWithin' => 3, 'join' => 'press PROG 4'],
            '/join',
            'cannot tell',
        ];
    }

    /** @param  array<string, mixed>  $leaflet */
    #[DataProvider('faults')]
    public function test_refuses_impossible_instructions_at_their_place(
        array $leaflet,
        string $pointer,
        string $words,
    ): void {
        try {
            Behaviour::read(new Fields($leaflet));
        } catch (Refusal $t) {
            self::assertSame($pointer, $t->pointer);
            self::assertStringContainsString($words, $t->getMessage());

            return;
        }
        self::fail('It was taken.');
    }

    public function test_numbers_of_presses_tell_gestures_of_one_key_apart(): void
    {
        $leaflet = Behaviour::read(new Fields(['reset' => 'press PROG 5 in 3', 'link' => 'press PROG 4 in 3']));
        self::assertCount(2, $leaflet->gestures);
    }
}
