<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Event;
use EmberDusk\Joining\Practice\Attempt;
use EmberDusk\Joining\Practice\Lesson;
use EmberDusk\Joining\Practice\Lessons;
use EmberDusk\Joining\Practice\Score;
use EmberDusk\Joining\Practice\Turning;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;

/**
 * Every lesson is played by hands written in advance: once correctly, once with the mistake that it names.
 */
final class PracticeTest extends TestCase
{
    /**
     * @param  list<array{float, string, string, 3?: string}>  $meant
     * @param  list<array{float, string, string, 3?: string}>  $mistaken
     * @param  array{float, float}  $between
     */
    #[DataProviderExternal(LessonHands::class, 'lessons')]
    public function test_it_is_solved_as_meant_and_failed_by_its_mistake(
        string $key,
        array $meant,
        array $mistaken,
        string $says,
        array $between,
    ): void {
        $lesson = Lessons::get($key);
        $good = self::attempt($lesson, $meant);
        $score = Score::for($good);
        self::assertSame([], $score->lines($good));
        self::assertTrue($score->clean(), "{$score->resets} resets and {$score->missed} windows too many");
        self::assertNull(Turning::for($good));

        $bad = self::attempt($lesson, $mistaken);
        self::assertFalse(Score::for($bad)->passed());
        self::assertNotSame([], Score::for($bad)->lines($bad));
        $turning = Turning::for($bad);
        self::assertNotNull($turning);
        self::assertStringContainsString($says, $turning->says);
        self::assertGreaterThanOrEqual($between[0], $turning->at);
        self::assertLessThanOrEqual($between[1], $turning->at);
    }

    /** @param  list<array{float, string, string, 3?: string}>  $hands */
    private static function attempt(Lesson $lesson, array $hands): Attempt
    {
        $log = array_map(static fn(array $h): Event => Event::read($h[0], $h[1], $h[2], $h[3] ?? ''), $hands);

        return new Attempt($lesson, $log, $log[count($log) - 1]->at + 30.0);
    }

    public function test_every_lesson_is_worked_here_and_they_go_from_told_to_untold(): void
    {
        $keys = array_map(static fn(Lesson $l): string => $l->key, Lessons::all());
        self::assertSame(array_keys(iterator_to_array(LessonHands::lessons())), $keys);
        self::assertGreaterThanOrEqual(10, count($keys));
        $told = array_map(static fn(Lesson $l): bool => $l->told, Lessons::all());
        $sorted = $told;
        rsort($sorted);
        self::assertSame($sorted, $told);
        self::assertTrue($told[0] && !$told[count($told) - 1]);
    }

    /** The right name by luck, and keys pressed at random, pass and are not clean. */
    public function test_guessed_names_and_useless_presses_cost_the_clean_pass(): void
    {
        $lesson = Lessons::get('which-is-which');
        $hands = static fn(string ...$switched): array => [
            LessonHands::ON,
            [0.0, 'power-on', 'c2'],
            [0.0, 'power-on', 'c3'],
            [15.0, 'tap', 'h1', 'search'],
            ...Bench::presses('c3', 'SET', 7, 20.0),
            ...Bench::presses('c1', 'SET', 7, 30.0),
            ...Bench::presses('c2', 'SET', 7, 40.0),
            ...array_map(static fn(string $line): array => [58.0, 'tap', 'h1', "toggle {$line}"], $switched),
            [60.0, 'tap', 'h1', 'name Lamp 1=Window'],
            [62.0, 'tap', 'h1', 'name Lamp 2=Door'],
            [64.0, 'tap', 'h1', 'name Lamp 3=Table'],
        ];
        $score = static fn(array $hands): Score => Score::for(self::attempt($lesson, array_values($hands)));
        $looked = $score($hands('Lamp 1', 'Lamp 2', 'Lamp 3'));
        self::assertSame([true, 0, 0], [$looked->clean(), $looked->guesses, $looked->useless]);
        $guessed = $score($hands('Lamp 2'));
        self::assertSame([true, false, 2], [$guessed->passed(), $guessed->clean(), $guessed->guesses]);
        $wild = $score([
            ...$hands('Lamp 1', 'Lamp 2', 'Lamp 3'),
            ...Bench::presses('c1', 'SET', 2, 70.0),
            ...Bench::presses('c2', 'SET', 3, 80.0),
        ]);
        self::assertSame([true, false, 2], [$wild->passed(), $wild->clean(), $wild->useless]);
    }

    public function test_counts_needless_resets_and_missed_windows(): void
    {
        $lesson = Lessons::get('first-join');
        $hands = [
            LessonHands::ON,
            ...Bench::presses('c1', 'SET', 7, 5.0),
            [30.0, 'tap', 'h1', 'search'],
            ...Bench::presses('c1', 'SET', 7, 33.0),
            ...Bench::presses('c1', 'SET', 7, 48.0),
        ];
        $score = Score::for(self::attempt($lesson, $hands));
        self::assertTrue($score->passed());
        self::assertFalse($score->clean());
        self::assertSame([2, 1], [$score->resets, $score->missed]);
    }
}
