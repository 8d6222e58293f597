<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Costing;

use EmberDusk\Costing\Basis;
use EmberDusk\Costing\Costing;
use EmberDusk\Costing\Promise;
use EmberDusk\Costing\Quote;
use EmberDusk\Costing\QuoteChange;
use EmberDusk\Costing\QuoteLine;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Visit;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\FigureAssertions;
use PHPUnit\Framework\TestCase;

/** The quote by hand: each kind of work, ways back and forth, mark-up and tax. */
final class QuoteTest extends TestCase
{
    use FigureAssertions;

    /** @param  array<string, mixed>  $terms */
    private static function plan(array $terms = []): Plan
    {
        return Demo::with(
            Demo::run(
                metres: '4.00',
                strip: 'strip-single-24',
                supply: 'supply-24-100',
                controller: 'controller-zigbee-1',
                cable: 'cable-2x15',
            ),
            ['kind' => 'SetTerms', 'hourRate' => 47, 'markUp' => 0.15, 'tax' => 0.19, ...$terms],
        );
    }

    /** @return array<string, float> minutes by kind */
    private static function minutes(Quote $quote): array
    {
        return array_filter(array_map(static fn(QuoteLine $l): float => $l->minutes, $quote->lines));
    }

    public function test_every_minute_of_a_small_job(): void
    {
        $plan = self::plan();
        $laid = array_sum(array_map(static fn($c): float => $c->length, $plan->cables));
        $quote = Costing::price($plan, Demo::basis());
        // Four metres: out and back 2 each, 4 to stick; two cables of two cores: six cores into terminals of 3, two soldered of 6; two units of 20, one
        // joined in 10; two tests of 10; a cut of 3; isolate and tidy 10 each; half an hour to look again.
        $by = [
            'work-isolate' => 10.0,
            'work-dry' => 8.0,
            'work-supply' => 40.0,
            'work-cables' => 5 * $laid,
            'work-loose' => 10.0,
            'work-cut' => 3.0,
            'work-stick' => 16.0,
            'work-joints' => 6 * 3.0 + 2 * 6.0,
            'work-second' => 10.0,
            'work-join' => 10.0,
            'work-tidy' => 10.0,
            'work-again' => 30.0,
        ];
        self::assertEqualsWithDelta($by, self::minutes($quote), 1e-9);
        foreach ($by as $kind => $minutes) {
            self::assertSame((int) round((4700 * $minutes) / 60), $quote->lines[$kind]->cents, $kind);
        }
        $price = static fn(string $id): float => (float) (Demo::shelf()->find($id)->written['price'] ?? 0.0);
        self::assertSame((int) round(115 * $price('supply-24-100')), $quote->lines['supply-24-100']->cents);
        self::assertSame(
            (int) round(115 * 5 * $price('strip-single-24')),
            $quote->lines['strip-single-24']->cents,
            'a reel',
        );
        self::assertSame(array_sum(array_map(static fn(QuoteLine $l): int => $l->cents, $quote->lines)), $quote->net);
        self::assertSame([(int) round(0.19 * $quote->net), $quote->net + $quote->tax], [$quote->tax, $quote->total]);
        self::assertWorkings([$quote->figure()->write()]);
    }

    public function test_ways_there_are_paid_for_each_person_and_each_visit(): void
    {
        $terms = ['travelMinutes' => 50, 'travelCost' => 18];
        $basis = static fn(Visit ...$visits): Basis => new Basis(
            Demo::shelf(),
            arrangement: new Arrangement(array_values($visits)),
        );
        $alone = Costing::price(self::plan($terms), $basis());
        self::assertEqualsWithDelta(
            [50.0, 80.0],
            [$alone->lines['work-travel']->minutes, $alone->lines['work-again']->minutes],
            1e-9,
        );
        self::assertSame(['2', 3600], [$alone->lines['ways']->count, $alone->lines['ways']->cents]);
        // Two visits, the first of two people: three ways of a person, three of the car with the one to look again.
        $two = Costing::price(self::plan($terms), $basis(new Visit('2026-12-07', 1, 2), new Visit('2026-12-14', 1, 1)));
        self::assertEqualsWithDelta(150.0, $two->lines['work-travel']->minutes, 1e-9);
        self::assertSame(['3', 5400], [$two->lines['ways']->count, $two->lines['ways']->cents]);
        // Laying out takes two people where there are two.
        self::assertEqualsWithDelta(16.0, $two->lines['work-dry']->minutes, 1e-9);
        $never = Costing::price(self::plan([...$terms, 'again' => false]), $basis());
        self::assertArrayNotHasKey('work-again', $never->lines);
        self::assertSame('1', $never->lines['ways']->count);
    }

    /** Groups of the client's quote contain each kind of work once, with the same sum. */
    public function test_the_works_of_a_client_are_the_lines_of_the_crew(): void
    {
        foreach (Demo::SHIPPED as $job) {
            $quote = (new JobState(JobFile::read(Demo::shipped($job)), [], Demo::shelf()))->schedule()->quote();
            $work = array_filter(
                $quote->lines,
                static fn(string $key): bool => str_starts_with($key, Quote::WORK) || $key === Quote::WAYS,
                ARRAY_FILTER_USE_KEY,
            );
            $cents = static fn(array $of): int => array_sum(array_map(static fn(QuoteLine $l): int => $l->cents, $of));
            self::assertSame($cents($work), $cents($quote->works()), $job);
            self::assertLessThanOrEqual(9, count($quote->works()), $job);
        }
    }

    public function test_the_crews_pace_betters_every_line(): void
    {
        $slow = Productivity::from(array_fill(0, 3, ['kind' => 'joints', 'table' => 20.0, 'taken' => 30]));
        $quote = Costing::price(self::plan(), new Basis(Demo::shelf(), crew: $slow));
        self::assertEqualsWithDelta(1.5 * (6 * 3 + 2 * 6), $quote->lines['work-joints']->minutes, 1e-9);
    }

    public function test_a_job_without_work_asks_for_nothing(): void
    {
        $quote = Costing::price(new Plan('Empty', ''), Demo::basis());
        self::assertSame([[], 0, 0], [$quote->lines, $quote->total, $quote->tax]);
        self::assertWorkings([$quote->figure()->write()]);
    }

    public function test_quotes_that_were_given_before_tax_had_a_line_still_add_up(): void
    {
        $now = Costing::price(self::plan(), Demo::basis());
        $given = array_diff_key($now->write(), ['tax' => 0]);
        $change = QuoteChange::since($given, $now->total + 100, $now, 'EUR');
        self::assertSame(-100, $change->cents);
        self::assertSame(-100, array_sum(array_column($change->lines, 'cents')));
    }

    /** Every changed line is found at its path, and their sum is the promised change. */
    public function test_the_working_of_a_promise_names_its_lines(): void
    {
        $plan = JobFile::read(Demo::file('observatory'));
        $change = (new Promise($plan, Demo::basis()))->change(
            Demo::with($plan, ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends']),
        );
        $figure = $change->figure();
        self::assertNotSame([], $figure->inputs);
        foreach ($figure->inputs as $input) {
            $key = (string) preg_replace('~^change\.lines\.(.+)\.cents / 100$~', '$1', $input->path);
            self::assertArrayHasKey($key, $change->lines);
            self::assertEqualsWithDelta($change->lines[$key]['cents'] / 100, $input->value, 1e-12);
        }
        self::assertEqualsWithDelta($change->cents, array_sum(array_column($change->lines, 'cents')), 1e-9);
        self::assertWorkings([$figure->write()]);
    }
}
