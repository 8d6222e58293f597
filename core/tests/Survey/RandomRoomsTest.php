<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Survey;

use EmberDusk\Survey\Point;
use EmberDusk\Survey\WallNotes;
use PHPUnit\Framework\TestCase;

/** Rooms made at random with known corners, written as notes and read back. */
final class RandomRoomsTest extends TestCase
{
    public function test_a_room_of_right_angles_comes_back_with_its_corners_and_run(): void
    {
        mt_srand(11);
        for ($case = 0; $case < 60; $case++) {
            // An L: up, right, down, left, down, left. All six lengths follow from four.
            [$a, $b, $c, $d] = array_map(static fn(): float => mt_rand(50, 600) / 100, range(1, 4));
            $lengths = [$a + $c, $b, $a, $d, $c, $b + $d];
            $corners = [[0, 0], [0, $a + $c], [$b, $a + $c], [$b, $c], [$b + $d, $c], [$b + $d, 0], [0, 0]];
            $turns = ['', 'right', 'right', 'left', 'right', 'right'];
            $on = array_map(static fn(): bool => mt_rand(0, 2) > 0, $lengths);
            $lines = ['start'];
            foreach ($lengths as $n => $length) {
                $text = number_format($length, 2, mt_rand(0, 1) === 0 ? '.' : ',', '');
                $lines[] = trim("{$turns[$n]} {$text}" . ($on[$n] ? ' band' : ''));
            }
            $sheet = WallNotes::read(implode(mt_rand(0, 1) === 0 ? "\n" : '; ', [...$lines, 'close']));
            self::assertSame([], $sheet->slips, implode("\n", $lines));
            self::assertEqualsWithDelta(
                $corners,
                array_map(static fn(Point $p): array => [$p->x, $p->y], $sheet->corners),
                1e-9,
            );
            $wanted = array_sum(array_map(static fn(float $l, bool $lit): float => $lit ? $l : 0.0, $lengths, $on));
            $run = $sheet->runs['band'] ?? null;
            self::assertEqualsWithDelta($wanted, $run?->length() ?? 0.0, 1e-9);
            // As many sections as stretches of neighbouring lit walls; gaps between them are bridged.
            $sections = count(
                array_filter(array_keys($on), static fn(int $n): bool => $on[$n] && ($n === 0 || !$on[$n - 1])),
            );
            self::assertCount($sections, $run->sections ?? []);
            self::assertCount(max(0, $sections - 1), $run->jumps ?? []);
        }
    }

    public function test_gaps_take_their_length_from_the_run_and_open_the_wall(): void
    {
        mt_srand(12);
        for ($case = 0; $case < 60; $case++) {
            $at = mt_rand(0, 20) / 10;
            $first = mt_rand(1, 10) / 10;
            $between = mt_rand(0, 10) / 10;
            $second = mt_rand(1, 10) / 10;
            $text = sprintf(
                '9 band, gap %.1f at %.1f door, gap %.1f at %.1f window',
                $first,
                $at,
                $second,
                $at + $first + $between,
            );
            $sheet = WallNotes::read($text);
            self::assertSame([], $sheet->slips, $text);
            self::assertEqualsWithDelta(9 - $first - $second, $sheet->runs['band']->length(), 1e-9);
            self::assertSame(['door', 'window'], array_map(static fn($o): string => $o->what, $sheet->openings));
            self::assertEqualsWithDelta($first, $sheet->openings[0]->from->to($sheet->openings[0]->to), 1e-9);
            self::assertEqualsWithDelta($at + $first + $between, $sheet->openings[1]->from->y, 1e-9);
        }
    }
}
