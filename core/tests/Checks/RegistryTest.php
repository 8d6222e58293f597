<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks;

use EmberDusk\Checks\Findings;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Registry;
use EmberDusk\Job\JobState;
use EmberDusk\Tests\Checks\Cases\BenchCases;
use EmberDusk\Tests\Checks\Cases\CircuitCases;
use EmberDusk\Tests\Checks\Cases\JobCases;
use EmberDusk\Tests\Checks\Cases\RatingCases;
use EmberDusk\Values\Finding;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every code that any check has is fired by a job, and is not by that job's neighbour. */
final class RegistryTest extends TestCase
{
    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    public static function cases(): iterable
    {
        yield from CircuitCases::all();
        yield from JobCases::all();
        yield from BenchCases::all();
        yield from RatingCases::fired();
    }

    /** @param  callable(): array{JobState, JobState}  $jobs */
    #[DataProvider('cases')]
    public function test_a_code_is_fired_and_its_neighbour_is_silent(string $code, callable $jobs): void
    {
        [$fires, $not] = $jobs();
        $found = array_values(
            array_filter((new Findings($fires))->for(), static fn(Finding $f): bool => $f->code === $code),
        );
        self::assertNotSame([], $found, "{$code} is not fired");
        self::assertNotContains(
            $code,
            self::codes((new Findings($not))->for()),
            "the neighbour of {$code} is not silent",
        );
        foreach ($found as $finding) {
            self::assertNotSame('', trim($finding->title . $finding->detail));
            if ($finding->number !== null && $finding->limit !== null) {
                self::assertNotEqualsWithDelta($finding->limit, $finding->number, 1e-9, 'a figure beyond its limit');
            }
        }
    }

    public function test_every_code_has_a_case_and_every_case_a_rule(): void
    {
        $cases = array_unique(array_column([...iterator_to_array(self::cases())], 0));
        $rules = array_keys(Registry::rules());
        sort($cases);
        sort($rules);
        self::assertSame($rules, $cases);
    }

    /** No one but a check makes a finding. */
    public function test_findings_are_made_in_checks_only(): void
    {
        $root = dirname(__DIR__, 3);
        $made = [];
        foreach (['core/src', 'app'] as $room) {
            foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("{$root}/{$room}")) as $file) {
                $path = substr((string) $file, strlen($root) + 1);
                if (
                    str_ends_with($path, '.php') &&
                    str_contains((string) file_get_contents((string) $file), 'new Finding(')
                ) {
                    $made[] = $path;
                }
            }
        }
        self::assertNotSame([], $made);
        self::assertSame(
            [],
            array_values(array_filter($made, static fn(string $p): bool => !str_starts_with($p, 'core/src/Checks/'))),
        );
    }

    /** Findings of a check are among its rules, and no code is in two checks. */
    public function test_a_check_finds_what_its_rules_say(): void
    {
        $seen = [];
        foreach (Registry::all() as $check) {
            $own = array_column($check->rules(), 'code');
            self::assertSame([], array_intersect($own, $seen));
            $seen = [...$seen, ...$own];
        }
        foreach (self::cases() as [, $jobs]) {
            $job = JudgedJob::for($jobs()[0]);
            foreach (Registry::all() as $check) {
                $own = array_column($check->rules(), 'code');
                self::assertSame([], array_diff(self::codes($check->check($job)), $own), $check::class);
            }
        }
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<string>
     */
    private static function codes(array $findings): array
    {
        return array_values(array_unique(array_map(static fn(Finding $f): string => $f->code, $findings)));
    }
}
