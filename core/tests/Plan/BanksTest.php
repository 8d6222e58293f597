<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Circuit\BankDraw;
use EmberDusk\Circuit\BankStates;
use EmberDusk\Costing\Basis;
use EmberDusk\Parts\Part;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Invariants;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Planner\Planner;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Steps;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\FigureAssertions;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/** Banks, converters and switches from an empty job on: chosen, wired, bought, built. */
final class BanksTest extends TestCase
{
    use FigureAssertions;

    public function test_a_cart_of_six_blocks_of_8_volts(): void
    {
        $plan = self::chosen(self::cart(), 'strip-single-12', 'battery-8');
        // No tap at 12 V: the entire bank as surveyed, which is existing.
        $bank = $plan->supplies['s1'];
        self::assertSame([6, 2, true, 'E1'], [$bank->series, $bank->parallel, $bank->there, $bank->where()]);
        $plan = self::chosen($plan, 'converter-48-12', 'controller-rf-4', 'cable-2x15', 'switch-inline-10');
        self::assertSame('s2', $plan->run('rail')->supply);
        self::assertSame('s1', $plan->supplies['s2']->bank);
        $input = $plan->ways()->cableTo('s2');
        self::assertSame('s1', $input?->from);
        self::assertSame('switch-inline-10', $input->switch);
        self::assertSame(['s2', 's1', 'c1'], $plan->ways()->unitsOf($plan->run('rail')));
        self::assertSame(JobFile::write($plan), JobFile::write(JobFile::read(JobFile::write($plan))));
        // Blocks that are there are not bought; the converter, its cable and the switch are.
        $parts = array_map(
            static fn(Part $p): string => $p->key,
            array_filter(PartsList::for($plan, Demo::shelf())->parts, static fn(Part $p): bool => $p->count > 0),
        );
        self::assertNotContains('battery-8', $parts);
        self::assertContains('converter-48-12', $parts);
        self::assertContains('switch-inline-10', $parts);
        // And back: straight on the bank, without what led to the converter.
        $back = self::applied($plan, ['kind' => 'ShareKit', 'run' => 'rail', 'with' => 's1']);
        self::assertSame(['s1'], array_keys($back->supplies));
        self::assertNull($back->ways()->cableTo('s2'));
    }

    public function test_a_tap_is_taken_where_there_is_one(): void
    {
        $plan = self::chosen(self::cart('battery E1 bench, 6 of 6 V, want 12 V'), 'strip-single-12', 'battery-6');
        self::assertSame([2, 1], [$plan->supplies['s1']->series, $plan->supplies['s1']->parallel]);
        // Another run on the same bank by a converter: the bank stays one.
        $plan = self::applied($plan, ['kind' => 'ChooseKit', 'run' => 'rail', 'kit' => 'converter-12-12']);
        self::assertSame('s1', $plan->supplies['s2']->bank);
    }

    public function test_a_converter_draws_what_ohm_and_its_efficiency_ask(): void
    {
        $plan = self::chosen(
            self::cart(),
            'strip-single-12',
            'battery-8',
            'converter-48-12',
            'controller-rf-4',
            'cable-2x15',
        );
        $draw = BankDraw::for($plan, 's2', 60.0);
        self::assertNotNull($draw);
        // By halving: U I - R I^2 = 60 W / 0.92 at 44.0 V, 48 V bank when empty (11.0 / 12 of its name).
        $input = $plan->cables[$plan->ways()->cableTo('s2')->id ?? ''];
        // IEC 60228 class 5, from memory: 13.3 ohm/km at 20 °C, 0.00393 a kelvin, 40 °C; two terminals of 2 mohm.
        $core = 0.0133 * $input->length * (1 + 0.00393 * 20) + 0.004;
        // Six blocks in series, two rows: 0.008 ohm a 12 V block, in proportion.
        $bank = (((0.008 * 8) / 12) * 6) / 2;
        [$low, $high] = [0.0, 10.0];
        for ($n = 0; $n < 80; $n++) {
            $mid = ($low + $high) / 2;
            [$low, $high] = 44.0 * $mid - ($bank + 2 * $core) * $mid ** 2 < 60 / 0.92 ? [$mid, $high] : [$low, $mid];
        }
        self::assertEqualsWithDelta($low, $draw->amps(44.0), 1e-9);
        self::assertEqualsWithDelta(44.0 - $low * ($bank + 2 * $core), $draw->arrives(44.0), 1e-9);
        self::assertNull($draw->amps(0.5), 'so little cannot give so much');
    }

    public function test_two_converters_on_one_bank_lower_the_volts_at_its_posts_together(): void
    {
        $plan = self::cart("run arm\nbattery E1 box, 6 of 8 V, 2 rows, want 12 V, charged elsewhere", "\n2.4 arm");
        $kit = ['strip-single-12', 'battery-8', 'converter-48-12', 'controller-rf-4', 'cable-2x15'];
        $plan = self::chosen($plan, ...$kit);
        foreach (array_diff($kit, ['battery-8']) as $id) {
            $plan = self::applied($plan, ['kind' => 'ChooseKit', 'run' => 'arm', 'kit' => $id]);
        }
        self::assertSame(['s1', 's1'], [$plan->supplies['s2']->bank, $plan->supplies['s3']->bank]);
        $empty = 20.0;
        [$one, $two] = [BankDraw::for($plan, 's2', 3.2 * 9.6), BankDraw::for($plan, 's3', 2.4 * 9.6)];
        self::assertNotNull($one);
        self::assertNotNull($two);
        // By halving the volts at the posts, not the amps: what leaves the posts is what the bank gives there.
        $wire = 2 * (0.0133 * 0.5 * (1 + 0.00393 * 20) + 0.004);
        $bank = (((0.008 * 8) / 12) * 6) / 2;
        $draws = static function (float $posts, float $watts) use ($wire): float {
            [$low, $high] = [0.0, $posts / (2 * $wire)];
            for ($n = 0; $n < 80; $n++) {
                $mid = ($low + $high) / 2;
                [$low, $high] = ($posts - $wire * $mid) * $mid < $watts ? [$mid, $high] : [$low, $mid];
            }

            return $low;
        };
        [$low, $high] = [$empty / 2, $empty];
        for ($n = 0; $n < 80; $n++) {
            $mid = ($low + $high) / 2;
            $given = ($empty - $mid) / $bank;
            $taken = $draws($mid, (3.2 * 9.6) / 0.92) + $draws($mid, (2.4 * 9.6) / 0.92);
            [$low, $high] = $given > $taken ? [$mid, $high] : [$low, $mid];
        }
        self::assertEqualsWithDelta($draws($low, (3.2 * 9.6) / 0.92), $one->amps($empty), 1e-8);
        self::assertEqualsWithDelta($draws($low, (2.4 * 9.6) / 0.92), $two->amps($empty), 1e-8);
        self::assertEqualsWithDelta($low - $wire * $one->amps($empty), $one->arrives($empty), 1e-8);
        // The printed working gives the same.
        self::assertWorkings([$one->figure($empty)->write()]);
        self::assertStringContainsString('U - Rs * Io', $one->figure($empty)->formula);
        self::assertNotNull(BankDraw::drawn(2.4, $bank + $wire, (3.2 * 9.6) / 0.92));
        self::assertNull($one->amps(2.4), 'one of them alone could be fed');
    }

    public function test_three_volts_stand_side_by_side(): void
    {
        $plan = self::chosen(
            self::cart('battery E1 bench, 2 of 6 V, want 12 V'),
            'strip-single-12',
            'battery-6',
            'controller-rf-4',
            'cable-2x15',
        );
        $rows = BankStates::for($plan, 's1');
        // Common practice, no source: 11.0, 12.6 and 14.4 V.
        $volts = array_map(static fn(array $r): float => $r['volts']->value, $rows);
        self::assertEqualsWithDelta([11.0, 12.6, 14.4], $volts, 1e-9);
        $light = array_map(static fn(array $r): float => $r['darkest']->value ?? 0.0, $rows);
        self::assertLessThan($light[1], $light[0]);
        self::assertGreaterThan($light[1], $light[2]);
        // A strip that is limited by resistors takes more than its share of the volts: its LEDs keep theirs.
        $amps = array_map(static fn(array $r): float => $r['amps']->value ?? 0.0, $rows);
        self::assertGreaterThan(14.4 / 12.6, $amps[2] / $amps[1]);
    }

    public function test_moving_parts_are_clamped_and_shaken_without_mains_cautions(): void
    {
        $plan = self::chosen(
            self::cart(),
            'strip-single-12',
            'battery-8',
            'converter-48-12',
            'controller-rf-4',
            'cable-2x15',
        );
        $steps = Steps::for($plan, PartsList::for($plan, Demo::shelf()), Productivity::from([]));
        $kinds = array_map(static fn(Step $s): string => $s->kind->value, $steps);
        foreach (['posts', 'strain', 'shake', 'apart'] as $kind) {
            self::assertContains($kind, $kinds);
        }
        foreach ($steps as $step) {
            self::assertStringNotContainsString('ains', $step->caution . $step->title . $step->why, $step->id);
        }
    }

    /** No supply on the mains replaces a converter; a fuse for its 57.6 V on charge replaces one for 32 V; pinned kit keeps its fuse too. */
    public function test_a_proposal_leaves_a_converter_on_its_bank(): void
    {
        $kit = ['strip-single-12', 'battery-8', 'converter-48-12', 'controller-rf-4', 'cable-2x15', 'fuse-3'];
        $plan = self::chosen(self::cart(), ...$kit);
        $free = Planner::propose($plan, ['rail'], new Basis(Demo::shelf()))->write();
        self::assertTrue($free['whole']);
        $made = self::applied($plan, (array) ($free['found']['take'] ?? []));
        $input = $made->ways()->cableTo((string) $made->run('rail')->supply);
        self::assertSame('s1', $made->supplies[(string) $made->run('rail')->supply]->bank);
        self::assertSame('s1', $input?->from);
        self::assertGreaterThanOrEqual(57.6, $made->fuse($input->fuse)?->volts);
        $kept = Planner::propose($plan, ['rail'], new Basis(Demo::shelf()), ['kit'])->write();
        $after = self::applied($plan, (array) ($kept['found'] ?? $kept['nearest'])['take']);
        self::assertSame('s1', $after->supplies[$after->run('rail')->supply ?? '']->bank);
        self::assertSame('fuse-3', $after->ways()->cableTo($after->run('rail')->supply ?? '')?->fuse);
    }

    public function test_a_switch_needs_a_cable_to_sit_in(): void
    {
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('the switch or fuse sits in it');
        self::chosen(self::cart(), 'strip-single-12', 'switch-inline-4');
    }

    private static function cart(
        string $battery = 'battery E1 box, 6 of 8 V, 2 rows, want 12 V, charged elsewhere',
        string $more = '',
    ): Plan {
        $plan = new Plan('Cart', 'Nobody', places: ['cart' => new Place('cart', 'Cart', '')]);

        return self::applied($plan, [
            'kind' => 'ReviseNotes',
            'place' => 'cart',
            'text' => "start\n3.2 rail{$more}\ndry\nrun rail, moving\n{$battery}",
        ]);
    }

    private static function chosen(Plan $plan, string ...$kit): Plan
    {
        foreach ($kit as $id) {
            $plan = self::applied($plan, ['kind' => 'ChooseKit', 'run' => 'rail', 'kit' => $id]);
        }

        return $plan;
    }

    /** @param  array<string, mixed>  $change */
    private static function applied(Plan $plan, array $change): Plan
    {
        $after = Catalogue::read($change, Demo::shelf())->apply($plan);
        Invariants::check($after);

        return $after;
    }
}
