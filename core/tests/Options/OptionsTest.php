<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Options;

use EmberDusk\Checks\Protection\Guard;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Netlist;
use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Options\Needs;
use EmberDusk\Options\Options;
use EmberDusk\Options\Questions;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Tests\Circuit\Ngspice;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\Responses;
use EmberDusk\Values\JsonWritable;
use PHPUnit\Framework\TestCase;

/** Options side by side: each its own plan that can be solved, priced by hand and adopted. */
final class OptionsTest extends TestCase
{
    /**
     * @param  array<string, mixed>  ...$requirements
     * @return list<array<string, mixed>>
     */
    private static function cards(Plan $plan, array ...$requirements): array
    {
        if ($requirements === []) {
            $plan = $plan;
        } else {
            $plan = Demo::with($plan, [
                'kind' => 'SetOptions',
                'run' => 'cove',
                'options' => array_map(self::requirement(...), array_values($requirements)),
            ]);
        }
        $cards = self::written(Options::for($plan, $plan->run('cove'), Demo::basis()));
        Responses::check(
            [
                'run' => 'cove',
                'name' => 'Cove',
                'asked' => self::written(Questions::all()),
                'options' => $cards,
                'needs' => self::written(Needs::questions()),
                'sets' => self::written((new Needs($plan, $plan->run('cove'), Demo::shelf()))->sets()),
            ],
            'options',
        );

        return $cards;
    }

    /**
     * @param  list<JsonWritable>  $values
     * @return list<array<string, mixed>>
     */
    private static function written(array $values): array
    {
        return array_map(static fn(JsonWritable $v): array => $v->write(), $values);
    }

    /**
     * @param  array<string, mixed>  $requirement
     * @return array<string, mixed>
     */
    private static function requirement(array $requirement): array
    {
        return $requirement + [
            'volts' => 24.0,
            'light' => 'room',
            'colour' => 'single',
            'controllers' => 0,
            'control' => 'zigbee',
            'source' => 'shelf',
            'cap' => 1.0,
        ];
    }

    /** A 5 V supply of 60 A would burn any cable of the shelf: a fuse in each cable that leaves it makes a thin one possible. */
    public function test_pixels_on_a_strong_supply_are_fed_through_fuses(): void
    {
        foreach (['1.5', '3', '8'] as $metres) {
            $plan = Demo::with(new Plan('Room', 'Nobody', places: ['room' => new Place('room', 'Room', '')]), [
                'kind' => 'ReviseNotes',
                'place' => 'room',
                'text' => "start end\n{$metres} cove",
            ]);
            [$card] = self::cards($plan, ['volts' => 5.0, 'colour' => 'pixels', 'control' => 'wifi']);
            self::assertNull($card['refused'], $metres);
            $plan = Demo::with(
                $plan,
                [
                    'kind' => 'SetOptions',
                    'run' => 'cove',
                    'options' => [self::requirement(['volts' => 5.0, 'colour' => 'pixels'])],
                ],
                (array) $card['take'],
            );
            $leaving = array_filter($plan->cables, static fn(LaidCable $c): bool => isset($plan->supplies[$c->from]));
            self::assertNotSame([], $leaving);
            foreach ($leaving as $cable) {
                $fuse = $plan->fuse($cable->fuse)->amps ?? 0.0;
                self::assertLessThanOrEqual($plan->cable($cable->kit)?->conductor->capacity, $fuse, $metres);
                // 61 mA a pixel, 60 a metre, 1.25 of it for good.
                $pixels = 0.061 * 60 * $plan->of($plan->runs[array_key_first($plan->runs)])->litLength();
                self::assertGreaterThanOrEqual(1.25 * $pixels, $fuse, $metres);
            }
            foreach ($plan->cables as $cable) {
                self::assertLessThanOrEqual(
                    $plan->cable($cable->kit)?->conductor->capacity,
                    Guard::for($plan, $cable)->amps,
                    "{$metres}: {$cable->id} is protected",
                );
            }
        }
    }

    /** A run of pixels is compared with pixels, its own volts and way of control first. */
    public function test_options_of_a_pixel_run_are_pixels(): void
    {
        $plan = JobFile::read(Demo::shipped('observatory'));
        $options = Options::requirements($plan, $plan->run('band'));
        self::assertSame(['pixels'], array_values(array_unique(array_column($options, 'colour'))));
        self::assertSame(
            [
                $plan->strip($plan->run('band')->strip)?->volts,
                $plan->controlWay((string) $plan->run('band')->controller),
            ],
            [$options[0]->volts, $options[0]->control],
        );
        self::assertSame([24.0, 12.0, 5.0], array_column($options, 'volts'));
    }

    public function test_six_options_ask_the_usual_questions_and_each_is_taken_over_as_shown(): void
    {
        $cards = self::cards(Demo::plan());
        self::assertCount(6, $cards);
        foreach ($cards as $n => $card) {
            // Of a set's light nothing is known.
            if ($card['take'] === null || $card['darkest'] === null) {
                continue;
            }
            $plan = Demo::with(Demo::plan(), $card['take']);
            $parts = array_filter($plan->runs, static fn(Run $r): bool => $r->word === 'cove');
            self::assertCount($card['wish']['controllers'], $parts);
            $light = array_merge(
                ...array_values(array_map(static fn(Run $r): array => (new Engine($plan))->solve($r)->light, $parts)),
            );
            sort($light);
            [$darkest, $brightest] = [$light[0] ?? NAN, $light[count($light) - 1] ?? NAN];
            self::assertEqualsWithDelta($card['darkest']['value'], $darkest, 1e-9, "option {$n}");
            self::assertEqualsWithDelta($card['evenness']['value'], $darkest / $brightest, 1e-9);
            self::assertSame([], $plan->options === [] ? [] : ['options were lost']);
        }
        self::assertGreaterThanOrEqual(5, count(array_filter(array_column($cards, 'take'))));
    }

    /** A chosen option equals the reference simulator's solution. */
    public function test_a_taken_option_agrees_with_the_reference_simulator(): void
    {
        $cards = self::cards(
            Demo::plan(),
            ['colour' => 'rgbw', 'light' => 'mood'],
            ['volts' => 12.0, 'light' => 'mood'],
        );
        foreach ($cards as $card) {
            $networks = (new Engine(Demo::with(Demo::plan(), $card['take'] ?? [])))->networks();
            $nodes = [];
            foreach ($networks as $network) {
                $nodes += Newton::solve($network)->nodes();
            }
            Ngspice::assertAgrees(Netlist::write('option', $networks), $nodes);
        }
    }

    /** A controller for 144 W at 24 V carries 72 W at 12 V (common practice): half the volts, half the metres, twice the parts. */
    public function test_half_the_volts_ask_for_more_controllers(): void
    {
        [$high, $low] = self::cards(Demo::plan(), ['volts' => 24.0], ['volts' => 12.0]);
        // 8 A carry 24 x 8 / 9.6 = 20 m and 12 x 8 / 9.6 = 10 m: 18 m want one and at least two.
        self::assertSame(1, $high['wish']['controllers']);
        self::assertGreaterThanOrEqual(2, $low['wish']['controllers']);
        self::assertStringContainsString('enough for 20.0 m', implode(' ', $high['kit']));
        self::assertStringContainsString('enough for 10.0 m', implode(' ', $low['kit']));
        self::assertGreaterThan($high['boxes']['value'], $low['boxes']['value']);
    }

    /**
     * By hand: 18 m x 6.40 + supply 49 + controller 22 + (1 + 1 + 19) m of 2 x 1.5 mm² at 1.50 ..., as many lines as there are;
     * two units fixed and one joined, a metre of cable in five minutes, two tests and a cut.
     */
    public function test_the_cost_is_the_sum_of_its_lines(): void
    {
        [$card] = self::cards(Demo::plan(), []);
        $plan = Demo::with(Demo::plan(), $card['take']);
        $price = static fn(string $id): float => (float) (Demo::shelf()->find($id)->written['price'] ?? 0);
        $parts = 18.0 * $price('strip-single-24') + $price('supply-24-240') + $price('controller-zigbee-1');
        $joints = 4;
        $laid = 0.0;
        foreach ($plan->cables as $cable) {
            $parts += (ceil(round($cable->length * 10, 6)) / 10) * $price($cable->kit);
            $laid += $cable->length;
        }
        $joints += 4 * count($plan->ways()->feedsOf($plan->run('cove')));
        // One of the four ends of two cables is soldered, the others are terminals.
        $soldered = 2 * count($plan->ways()->feedsOf($plan->run('cove')));
        $hours =
            ($soldered * 6 +
                ($joints - $soldered) * 3 +
                $laid * 5 +
                2 * 20 +
                10 +
                2 * 10 +
                3 * count($plan->run('cove')->sections)) /
            60;
        self::assertSame((float) $joints, $card['joints']['value']);
        self::assertEqualsWithDelta($hours, $card['hours']['value'], 1e-9);
        self::assertEqualsWithDelta(round($parts, 2) + 40 * $hours, $card['cost']['value'], 0.011);
    }

    public function test_what_the_client_owns_counts_as_nothing_and_a_missing_hub_is_extra(): void
    {
        $plan = Demo::plan();
        [$card] = self::cards($plan, []);
        [$owned] = self::cards(Demo::with($plan, ['kind' => 'SetOwned', 'kit' => 'supply-24-240', 'count' => 1]), []);
        self::assertEqualsWithDelta(49.0, $card['quote']['value'] - $owned['quote']['value'], 0.011);
        self::assertSame($card['cost']['value'], $owned['cost']['value'], 'what it moves is the shelf’s price');
        [$hubless] = self::cards($plan->with(hubs: []), []);
        // The least dear hub whose app sets a single colour costs 48, and ten minutes at 40 an hour join it.
        self::assertEqualsWithDelta(48.0 + 40 / 6, $hubless['cost']['value'] - $card['cost']['value'], 0.011);
        // In the quote the client is asked for network and account too, ten minutes more.
        self::assertEqualsWithDelta(48.0 + 40 / 3, $hubless['quote']['value'] - $card['quote']['value'], 0.011);
        // Owned first: a larger supply than is needed, because it is there.
        [$first] = self::cards(Demo::with($plan, ['kind' => 'SetOwned', 'kit' => 'supply-24-320', 'count' => 1]), [
            'source' => 'owned',
            'light' => 'mood',
        ]);
        self::assertContains('24 V supply, 13.4 A', $first['kit']);
    }

    public function test_lists_available_and_missing_controls(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'ChooseKit', 'run' => null, 'kit' => 'hub-zigbee-short']);
        [$tunable, $remote] = self::cards($plan, ['colour' => 'tunable'], ['colour' => 'tunable', 'control' => 'rf']);
        $reach = array_column($tunable['reach'], 'reach', 'label');
        // This hub's app does not set tunable white, and an assistant that reads it can do no more.
        self::assertSame(['dims', 'all', 'dims'], [$reach['Hub’s app'], $reach['Remote'], $reach['Assistant']]);
        self::assertSame('not', array_column($remote['reach'], 'reach', 'label')['Hub’s app']);
        self::assertStringContainsString(
            'does not set tunable white',
            array_column($tunable['reach'], 'text', 'label')['Hub’s app'],
        );
    }

    /**
     * Second method: 60 % of 172.8 W with 20 % headroom need 129.6 W, so 150 W will do where the first method takes 240; a step and a check come
     * with it.
     */
    public function test_the_second_supply_method_adds_a_step_and_a_check(): void
    {
        [$full, $capped] = self::cards(Demo::plan(), [], ['cap' => 0.6]);
        self::assertContains('24 V supply, 10 A', $full['kit']);
        self::assertContains('24 V supply, 6.25 A', $capped['kit']);
        self::assertContains('Set the limit of C1 to 60 %, then check it', array_column($capped['findings'], 'title'));
        $plan = Demo::with(Demo::plan(), $capped['take']);
        self::assertSame([0.6, false], [$plan->run('cove')->cap, $plan->run('cove')->capChecked]);
    }

    public function test_the_ready_made_set_says_only_what_its_box_says(): void
    {
        [$set, $short] = self::cards(
            Demo::plan(),
            ['colour' => 'tunable', 'source' => 'set'],
            ['colour' => 'rgb', 'source' => 'set'],
        );
        self::assertSame(['Ready-made set 20 m, tunable white, remote', null], [$set['kit'][0], $set['darkest']]);
        self::assertEqualsWithDelta((96 * 18) / 20, $set['load']['value'], 1e-9);
        self::assertStringContainsString('Sets cannot be joined', (string) $short['refused']);
    }

    public function test_the_site_speaks_before_anything_is_bought(): void
    {
        $notes = "start\n6 cove\ndamp\nbattery E1, 6 of 8 V, want 12 V\nrun cove, bare";
        [$card] = self::cards(
            Demo::with(Demo::plan(), ['kind' => 'ReviseNotes', 'place' => 'lecture', 'text' => $notes]),
            ['colour' => 'rgbw'],
        );
        $titles = array_column($card['findings'], 'title');
        self::assertContains('Cove: open strip in a wet place', $titles);
        self::assertContains('C1: set its switch to RGBW', $titles);
        // No mains here: three of the six blocks give 24 V, fused at the tap.
        self::assertContains('Deep-cycle block 8 V, 165 Ah', $card['kit']);
        self::assertNotContains('Cove: no mains here, use a converter on the bank', $titles);
        $job = Demo::with(Demo::plan(), ['kind' => 'ReviseNotes', 'place' => 'lecture', 'text' => $notes]);
        $plan = Demo::with($job, $card['take']);
        self::assertSame(3, $plan->supplies[$plan->run('cove')->supply ?? '']->series);
        self::assertNotNull($plan->ways()->firstCable($plan->run('cove'))?->fuse);
    }
}
