<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\Count\CountFinder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The pixel count is found step by step; other causes of an early end are distinguished from a count. */
final class CountTest extends TestCase
{
    /** Whatever the true count, it is found; with the calculated one right two answers are enough. */
    public function test_every_count_is_found(): void
    {
        foreach ([1, 2, 40, 93, 95, 96, 97, 99, 120, 300] as $true) {
            $answers = [];
            for ($n = 0; $n < 30; $n++) {
                $finder = CountFinder::from([52, 44], true, $answers);
                if ($finder->verdict !== 'asking') {
                    break;
                }
                $answers[] = [(int) $finder->set, $finder->set > $true ? CountFinder::OFF_THE_END : (int) $finder->set];
            }
            self::assertSame(['count', $true], [$finder->verdict, $finder->set], "true count {$true}");
            self::assertLessThanOrEqual($true === 96 ? 2 : 18, count($answers));
        }
    }

    /** @return iterable<string, array{non-empty-list<int>, bool, list<array{int, int}>, array{string, int|null}}> verdict, and piece from 0 or pixel */
    public static function dark(): iterable
    {
        yield 'dark from the second piece on' => [[52, 44], true, [[96, 52]], ['joint', 1]];
        yield 'all dark' => [[52, 44], true, [[96, 0]], ['joint', 0]];
        yield 'dark from the third of four' => [[10, 20, 30, 40], false, [[100, 30]], ['joint', 2]];
        // 24 bits of data a pixel reach three of four pixels that take 32: 96 x 24 / 32 = 72.
        yield 'three quarters of four-channel pixels' => [[52, 44], true, [[96, 72]], ['kind', 72]];
        yield 'three quarters of three-channel pixels is no kind' => [[52, 44], false, [[96, 72]], ['stops', 72]];
        yield 'a pixel inside a piece' => [[52, 44], true, [[96, 20]], ['stops', 20]];
        yield 'where three quarters are a piece’s end it is the joint that is looked at' => [
            [24, 24, 24, 24],
            true,
            [[96, 72]],
            ['joint', 3],
        ];
    }

    /**
     * @param  non-empty-list<int>  $sections
     * @param  list<array{int, int}>  $answers
     * @param  array{string, int|null}  $wanted
     */
    #[DataProvider('dark')]
    public function test_distinguishes_causes_of_an_early_end(
        array $sections,
        bool $four,
        array $answers,
        array $wanted,
    ): void {
        $finder = CountFinder::from($sections, $four, $answers);
        self::assertSame($wanted, [$finder->verdict, $finder->section ?? $finder->pixel]);
    }

    public function test_reports_contradicting_answers(): void
    {
        $answers = [[96, 96], [90, CountFinder::OFF_THE_END]];
        self::assertSame('contradiction', CountFinder::from([52, 44], true, $answers)->verdict);
    }
}
