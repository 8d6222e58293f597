<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Facts\LogBook;
use App\Models\Job;
use App\Screens\View;
use App\Time\Clock;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Plan\Plan;
use EmberDusk\Schedule\Arrangement;

/** A page of a job's log: newest first, grouped by visit. */
final readonly class LogPage implements View
{
    use WrittenRecord;

    public const LINES = 60;

    /**
     * @param  list<LogLine>  $lines
     * @param  list<BenchChoice>  $kinds
     * @param  list<BenchChoice>  $parts
     */
    public function __construct(
        #[Field(of: LogLine::class)] public array $lines,
        public int $total,
        public int $pages,
        #[Field(of: BenchChoice::class)] public array $kinds,
        #[Field(of: BenchChoice::class)] public array $parts,
    ) {}

    public static function for(Job $job, Plan $plan, string $words, string $kind, string $part, int $page): self
    {
        $query = LogBook::lines($job, $words, $kind, $part);
        $arrangement = $job->arrangement()->first()?->read() ?? new Arrangement();
        $total = $query->count();
        $lines = [];
        foreach (
            (clone $query)
                ->limit(self::LINES)
                ->offset(($page - 1) * self::LINES)
                ->get()
            as $row
        ) {
            $row = (array) $row;
            $at = Clock::local(self::text($row['at']));
            $photo =
                self::text($row['photo']) !== '' ? route('photos.show', [$job, self::text($row['photo'])], false) : '';
            $lines[] = new LogLine(
                id: self::text($row['id']),
                day: $at->format('Y-m-d'),
                at: $at->format('H:i'),
                visit: self::visit($arrangement, $at->format('Y-m-d')),
                who: self::text($row['who']),
                kind: self::text($row['kind']),
                part: self::text($row['part']),
                words: self::text($row['words']),
                photo: $photo,
                place: self::text($row['place']),
                uuid: self::text($row['uuid']),
                struck: self::struck($row),
            );
        }

        return new self(
            lines: $lines,
            total: $total,
            pages: max(1, (int) ceil($total / self::LINES)),
            kinds: array_map(
                static fn(string $key, string $name): BenchChoice => new BenchChoice(key: $key, words: $name),
                array_keys(LogBook::KINDS),
                array_values(LogBook::KINDS),
            ),
            parts: self::parts($plan),
        );
    }

    /**
     * Who struck an entry out, when and why; empty for one that counts.
     *
     * @param  array<mixed>  $row
     */
    private static function struck(array $row): string
    {
        if (self::text($row['struck_by']) === '') {
            return '';
        }
        $at = Clock::local(self::text($row['struck_at']))->format('Y-m-d H:i');

        return 'Struck out by ' . self::text($row['struck_by']) . ", {$at}: " . self::text($row['struck_for']);
    }

    /** The number of the visit that a day is in; 0 outside. */
    private static function visit(Arrangement $arrangement, string $day): int
    {
        $number = 0;
        foreach ($arrangement->visits as $n => $visit) {
            if ($visit->from <= $day) {
                $number = $n + 1;
            }
        }

        return $number;
    }

    /** @return list<BenchChoice> places, runs and devices that lines may be of */
    private static function parts(Plan $plan): array
    {
        $parts = [];
        foreach ($plan->places as $id => $place) {
            $parts[] = new BenchChoice(key: (string) $id, words: $place->name);
        }
        foreach ($plan->runs as $id => $run) {
            $parts[] = new BenchChoice(key: (string) $id, words: $run->name());
        }
        foreach (
            [...array_keys($plan->supplies), ...array_keys($plan->controllers), ...array_keys($plan->cables)]
            as $id
        ) {
            $parts[] = new BenchChoice(key: $id, words: strtoupper($id));
        }

        return $parts;
    }

    private static function text(mixed $value): string
    {
        if (is_scalar($value)) {
            return (string) $value;
        }

        return '';
    }
}
