<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks;

use EmberDusk\Checks\Findings;
use EmberDusk\Formats\Fields;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\KindField;
use EmberDusk\Kit\Kinds;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Rating;
use EmberDusk\Kit\Shelf;
use EmberDusk\Tests\Checks\Cases\RatedJobs;
use EmberDusk\Tests\Circuits;
use EmberDusk\Values\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A rating with its own check decides that check's finding: one per cent of the figure takes it away or brings it. */
final class RatedFieldsTest extends TestCase
{
    /** Kinds used in the place of another kind, with their additional fields. */
    private const LIKE = [
        'repeater' => ['controller', []],
        'fork' => ['plug', ['ways' => 2]],
        'panel' => ['remote', ['mains' => false]],
    ];

    /** @return iterable<string, array{string, string, KindField, Rating}> */
    public static function fields(): iterable
    {
        foreach (Kinds::all() as $kind) {
            foreach ($kind->fields as $key => $field) {
                if ($field->rates !== null && $field->rates->code !== '') {
                    yield "{$kind->kind} {$key}" => [$kind->kind, $key, $field, $field->rates];
                }
            }
        }
    }

    #[DataProvider('fields')]
    public function test_one_per_cent_of_a_rating_decides_its_finding(
        string $kind,
        string $key,
        KindField $field,
        Rating $rating,
    ): void {
        foreach (self::jobs($kind, $rating->code) as $job) {
            $found = [];
            foreach (self::values($job, $kind, $key, $field) as $value) {
                $fires = self::fires($job, $kind, $key, $value, $rating->code);
                if ($fires !== null) {
                    $found[] = [$value, $fires];
                }
            }
            $edges = self::edges($found);
            if ($edges === []) {
                continue;
            }
            // Equal volts are silent in between; every other rating turns once.
            self::assertCount($rating->side === 'equal' ? 2 : 1, $edges, (string) json_encode($found));
            [$low, $high, $before] = $edges[0];
            if ($rating->side !== 'equal') {
                self::assertSame($rating->side === 'most', $before, 'it is found on the wrong side');
            }
            $this->narrow($job, [$kind, $key, $field, $rating->code], $low, $high, $before);

            return;
        }
        self::fail("No job in which {$kind} {$key} decides “{$rating->code}”.");
    }

    /**
     * Halves the span until one per cent is left, or one for a count; sizes of wire are named ones.
     *
     * @param  array{string, string, KindField, string}  $of
     */
    private function narrow(JobState $job, array $of, float $low, float $high, bool $before): void
    {
        [$kind, $key, $field, $code] = $of;
        while ($field->unit !== 'mm² or AWG' && $high - $low > ($field->type === 'whole' ? 1 : $high * 0.01)) {
            $middle = $field->type === 'whole' ? floor(($low + $high) / 2) : ($low + $high) / 2;
            $found = self::fires($job, $kind, $key, $middle, $code);
            self::assertNotNull($found, "{$middle} is refused");
            if ($found === $before) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }
        self::assertSame($before, self::fires($job, $kind, $key, $low, $code));
        self::assertSame(!$before, self::fires($job, $kind, $key, $high, $code));
    }

    /**
     * Values between which the finding changes, and its state below.
     *
     * @param  list<array{float, bool}>  $found  by rising value
     * @return list<array{float, float, bool}>
     */
    private static function edges(array $found): array
    {
        $edges = [];
        foreach (array_slice($found, 1) as $n => [$value, $fires]) {
            if ($found[$n][1] !== $fires) {
                $edges[] = [$found[$n][0], $value, $found[$n][1]];
            }
        }

        return $edges;
    }

    /** @return list<float> that the field may have, in order: its bounds, and around the value of the job's entry */
    private static function values(JobState $job, string $kind, string $key, KindField $field): array
    {
        if ($field->unit === 'mm² or AWG') {
            return [0.5, 0.75, 1.0, 1.5, 2.5, 4.0, 6.0, 10.0];
        }
        $values = [$field->least ?? 0.0, $field->most ?? 1e5];
        foreach ($job->plan->kit as $snapshot) {
            $now = $snapshot->written;
            foreach (explode('.', $key) as $part) {
                $now = is_array($now) ? $now[$part] ?? null : null;
            }
            if ($snapshot->kind() === $kind && is_numeric($now)) {
                $values = [
                    ...$values,
                    $now * 0.3,
                    $now * 0.6,
                    $now * 0.9,
                    (float) $now,
                    $now * 1.1,
                    $now * 1.4,
                    $now * 3,
                ];
            }
        }
        if ($field->type === 'whole') {
            $values = [...array_map(round(...), $values), 2.0, 3.0, 4.0];
        }
        $values = array_values(
            array_unique(
                array_filter(
                    $values,
                    static fn(float|int $v): bool => $v > 0 &&
                        $v >= ($field->least ?? 0) &&
                        $v <= ($field->most ?? 1e5),
                ),
            ),
        );
        sort($values);

        return array_map(floatval(...), $values);
    }

    /** @return iterable<JobState> of the code's cases and beside them, that have such an entry */
    private static function jobs(string $kind, string $code): iterable
    {
        foreach (RegistryTest::cases() as [$of, $jobs]) {
            if ($of === $code) {
                foreach ($jobs() as $job) {
                    yield from self::having($kind, $job);
                }
            }
        }
        yield from RatedJobs::of($kind);
        foreach (RatedJobs::of(self::LIKE[$kind][0] ?? '') as $job) {
            yield from self::having($kind, $job);
        }
    }

    /** @return iterable<JobState> the job, with an entry of another kind as one of this kind */
    private static function having(string $kind, JobState $job): iterable
    {
        $kinds = array_map(static fn(KitSnapshot $s): string => $s->kind(), $job->plan->kit);
        if (in_array($kind, $kinds, true)) {
            yield $job;
        } elseif (in_array(self::LIKE[$kind][0] ?? '', $kinds, true)) {
            yield self::with($job, self::LIKE[$kind][0], ['kind' => $kind] + self::LIKE[$kind][1]);
        }
    }

    /** Whether the finding is there with that figure; null where no entry may have it. */
    private static function fires(JobState $job, string $kind, string $key, float $value, string $code): ?bool
    {
        $field = Kinds::get($kind)?->fields[$key];
        $value = $field?->type === 'whole' ? (int) $value : $value;
        $parts = explode('.', $key);
        try {
            $state = self::with(
                $job,
                $kind,
                isset($parts[1]) ? [$parts[0] => [$parts[1] => $value]] : [$key => $value],
            );
        } catch (InvalidInput) {
            return null;
        }

        return array_filter((new Findings($state))->for(), static fn($f): bool => $f->code === $code) !== [];
    }

    /**
     * The job with every entry of a kind changed, solved again.
     *
     * @param  array<string, mixed>  $changed
     *
     * @throws InvalidInput where an entry may not be so
     */
    private static function with(JobState $job, string $kind, array $changed): JobState
    {
        $kit = array_map(static function (KitSnapshot $s) use ($kind, $changed): KitSnapshot {
            if ($s->kind() !== $kind) {
                return $s;
            }
            $written = array_replace_recursive($s->written, $changed);

            return new KitSnapshot(Shelf::hash($written), $written, Shelf::entry(new Fields($written)));
        }, $job->plan->kit);
        $plan = $job->plan->with(kit: $kit);
        $solved = Circuits::solved($plan);
        $values = ['plan' => $plan];
        foreach ((new \ReflectionMethod(JobState::class, '__construct'))->getParameters() as $parameter) {
            $values += [$parameter->name => $job->{$parameter->name}];
        }

        return new JobState(
            ...[
                ...$values,
                'results' => $job->results === [] ? [] : $solved->results,
                'scenes' => $job->scenes === [] ? [] : $solved->scenes,
            ],
        );
    }
}
