<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks;

use EmberDusk\Checks\Findings;
use EmberDusk\Checks\Ratings\Ratings;
use EmberDusk\Checks\Registry;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\KindField;
use EmberDusk\Kit\Kinds;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Planner\ShelfWithIdeal;
use EmberDusk\Tests\Checks\Cases\RatingCases;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Severity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every figure of a kind of kit is a rating with a check, or a fact that limits nothing. */
final class RatingsTest extends TestCase
{
    private const LIMITING = ['V', 'A', 'mA', 'W', 'VA', 'Ah', '°C', 'Hz', 'mm²', 'W/m', 'mm² or AWG'];

    /** @return iterable<string, KindField> by kind and key */
    private static function figures(): iterable
    {
        foreach (Kinds::all() as $kind) {
            foreach ($kind->fields as $key => $field) {
                if (
                    $field->type === 'whole' ||
                    in_array($field->unit, self::LIMITING, true) ||
                    $field->rates !== null
                ) {
                    yield "{$kind->kind} {$key}" => $field;
                }
            }
        }
    }

    public function test_every_figure_is_a_rating_or_a_fact(): void
    {
        foreach (self::figures() as $name => $field) {
            self::assertNotSame($field->fact, $field->rates !== null, $name);
        }
    }

    public function test_every_rating_is_judged_by_a_check(): void
    {
        $rules = Registry::rules();
        $cases = array_column([...iterator_to_array(RegistryTest::cases())], 0);
        foreach (self::figures() as $name => $field) {
            if ($field->rates?->code === '') {
                self::assertArrayHasKey($field->rates->quantity, Ratings::quantities(), $name);
                self::assertArrayHasKey($name, RatingCases::all(), "{$name} has no case");
            } elseif ($field->rates !== null) {
                self::assertArrayHasKey($field->rates->code, $rules, $name);
                self::assertContains($field->rates->code, $cases, $name);
            }
        }
    }

    /** @return iterable<string, array{string, float, callable(float|null): JobState}> */
    public static function cases(): iterable
    {
        foreach (RatingCases::all() as $name => [$number, $job]) {
            yield $name => [$name, $number, $job];
        }
    }

    /**
     * @param  float  $number value at the part, calculated by hand
     * @param  callable(float|null): JobState  $job  by the value of the field
     */
    #[DataProvider('cases')]
    public function test_a_rating_one_per_cent_inside_is_silent_and_one_outside_is_found(
        string $name,
        float $number,
        callable $job,
    ): void {
        [$kind, $key] = explode(' ', $name);
        $rating = Kinds::get($kind)?->fields[$key]->rates;
        self::assertNotNull($rating);
        $code = Ratings::quantities()[$rating->quantity]->code();
        $way = $rating->side === 'most' ? 1 : -1;
        self::assertSame([], self::found($job($number * (1 + $way * 0.01)), $code), 'one per cent inside');
        $found = self::found($job($number * (1 - $way * 0.01)), $code);
        self::assertCount(1, $found, 'one per cent outside');
        self::assertEqualsWithDelta($number, $found[0]->number, 1e-3);
        self::assertEqualsWithDelta($number * (1 - $way * 0.01), $found[0]->limit, 1e-9);
        self::assertSame($rating->severity, $found[0]->severity);
    }

    /** @return iterable<string, array{string, callable(float|null): JobState}> fields that may be missing */
    public static function optional(): iterable
    {
        // Judged by its own check where they are missing: "swing" and "analog-off".
        $own = ['strip mostVolts', 'analog relayAmps'];
        foreach (RatingCases::all() as $name => [, $job]) {
            [$kind, $key] = explode(' ', $name);
            if (Kinds::get($kind)?->fields[$key]->required !== true && !in_array($name, $own, true)) {
                yield $name => [$name, $job];
            }
        }
    }

    /**
     * A missing limit: the safe figure of the trade, or one open point.
     *
     * @param  callable(float|null): JobState  $job
     */
    #[DataProvider('optional')]
    public function test_a_missing_rating_is_assumed_safe_or_asked_for(string $name, callable $job): void
    {
        [$kind, $key] = explode(' ', $name);
        $rating = Kinds::get($kind)?->fields[$key]->rates;
        self::assertNotNull($rating);
        $found = self::found($job(null), Ratings::quantities()[$rating->quantity]->code());
        $asked = self::found($job(null), 'no-rating');
        if ($rating->safe === null) {
            self::assertSame([], $found);
            self::assertCount(1, $asked);
            self::assertSame(Severity::Open, $asked[0]->severity);
            // The copy of the job can be updated once the shelf has the limit.
            self::assertSame([], $asked[0]->fixes);
            $missing = $job(null);
            foreach ($missing->plan->kit as $kit) {
                if ($kit->kind() === $kind) {
                    $complete = new KitSnapshot('', [$key => 1000.0] + $kit->written, $kit->entry);
                }
            }
            $shelf = new ShelfWithIdeal($missing->shelf, $complete ?? self::fail());
            $now = self::found(new JobState($missing->plan, $missing->results, $shelf), 'no-rating');
            self::assertCount(1, $now[0]->fixes);
        } else {
            self::assertSame([], $asked);
            // 12 V kit on 14.4 V, 57.6 V at a fuse for 32 V, 50 °C for 40 °C, 4 mm² for 2.5 mm², 10 mm² for 6 mm².
            self::assertCount(1, $found);
            self::assertStringContainsString('is assumed', $found[0]->detail);
        }
    }

    /** @return list<Finding> */
    private static function found(JobState $state, string $code): array
    {
        return array_values(
            array_filter((new Findings($state))->for(), static fn(Finding $f): bool => $f->code === $code),
        );
    }
}
