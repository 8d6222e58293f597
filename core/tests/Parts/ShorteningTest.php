<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Parts;

use EmberDusk\Parts\PartsList;
use EmberDusk\Parts\Shortening;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

/** A run that just misses a stock length. Worked by hand. */
final class ShorteningTest extends TestCase
{
    use AssembledPlan;

    /** @param  array<string, list<float>>  $offcuts */
    private static function found(Plan $plan, string $kit, array $offcuts = []): ?Shortening
    {
        $list = PartsList::for($plan, Demo::shelf(), $offcuts);
        foreach ($list->cuts as $cut) {
            if ($cut->kit === $kit) {
                $part = array_values(array_filter($list->parts, static fn($p): bool => $p->key === $kit))[0];

                return Shortening::for($list->lengths, $cut, $part, $offcuts[$kit] ?? []);
            }
        }

        return null;
    }

    public function test_reports_a_run_that_just_misses_a_reel(): void
    {
        // Reels of 5 m, marks every 50 mm: 5.40 m take two, 5.00 m one, and a piece may be up to 0.50 m shorter.
        $found = self::found(self::plan('5.40 line', ', bare'), 'strip-single-24');
        self::assertNotNull($found);
        self::assertSame(['Line', 1], [$found->piece->what, $found->lengths]);
        self::assertEqualsWithDelta(0.4, $found->metres, 1e-9);
        $price = (float) (Demo::shelf()->find('strip-single-24')->written['price'] ?? 0.0);
        self::assertEqualsWithDelta(5 * $price, $found->saves, 1e-9);
        self::assertNull(
            self::found(self::plan('5.60 line', ', bare'), 'strip-single-24'),
            '0.60 m is no small change',
        );
        self::assertNull(self::found(self::plan('5.00 line', ', bare'), 'strip-single-24'), 'nothing is over');
    }

    public function test_an_offcut_in_the_van_counts(): void
    {
        $found = self::found(self::plan('6.40 line', ', bare'), 'strip-single-24', ['strip-single-24' => [1.0]]);
        self::assertEqualsWithDelta(0.4, $found->metres ?? 0.0, 1e-9);
    }

    public function test_ignores_savings_below_a_tenth_of_the_line(): void
    {
        // Twelve reels of 5 m for 55.2 m: one of them is a twelfth. Ten for 45.2 m: a tenth is not more than a tenth.
        foreach (['55.20', '45.20'] as $metres) {
            self::assertNull(self::found(self::plan("{$metres} line", ', bare'), 'strip-single-24'), $metres);
        }
        self::assertNotNull(self::found(self::plan('40.20 line', ', bare'), 'strip-single-24'), 'nine');
    }

    public function test_the_wall_that_needs_the_least_is_shortened(): void
    {
        // Lengths of 2 m, no joints: 2.00 m alone, 1.30 and 0.75 m do not share one by 0.05 m and the saw's 3 mm.
        $plan = Demo::with(self::plan("1.30 line\nright 2.00 line\nright 0.75 line", ', profile'), [
            'kind' => 'SetMaking',
            'run' => 'line',
            'length' => 'never',
        ]);
        $found = self::found($plan, 'profile-flat');
        self::assertNotNull($found);
        self::assertEqualsWithDelta(0.053, $found->metres, 1e-9);
        self::assertContains($found->piece->what, ['Line wall 1', 'Line wall 3']);
    }
}
