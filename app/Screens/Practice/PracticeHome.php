<?php

declare(strict_types=1);

namespace App\Screens\Practice;

use App\Models\PracticeRun;
use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Joining\Practice\Lesson;
use EmberDusk\Joining\Practice\Lessons;

/** All lessons, with a person's results. */
final readonly class PracticeHome implements View
{
    use WrittenRecord;

    /** @param  list<LessonLine>  $lessons */
    public function __construct(#[Field(of: LessonLine::class)] public array $lessons) {}

    /** @param  array<string, list<PracticeRun>>  $runs of one person, by lesson, oldest first */
    public static function for(array $runs): self
    {
        return new self(
            lessons: array_map(
                static fn(Lesson $l): LessonLine => new LessonLine(
                    ...[
                        'number' => $l->number,
                        'key' => $l->key,
                        'title' => $l->title,
                        'teaches' => $l->teaches,
                        'goal' => $l->goal,
                        'told' => $l->told,
                        'names' => PracticePicture::names($l),
                    ] + self::done($runs[$l->key] ?? []),
                ),
                Lessons::all(),
            ),
        );
    }

    /**
     * @param  list<PracticeRun>  $runs  of one lesson
     * @return array{tries: int, state: string, best: float|null, open: int|null}
     */
    private static function done(array $runs): array
    {
        $best = $open = null;
        $tries = 0;
        $state = 'new';
        foreach ($runs as $run) {
            if ($run->ended_at === null) {
                $open = $run->id;

                continue;
            }
            $tries++;
            $passed = ($run->score['passed'] ?? false) === true;
            if ($passed) {
                $best = round(min($best ?? INF, $run->ended_at), 1);
            }
            $state = match (true) {
                $state === 'clean' || ($run->score['clean'] ?? false) === true => 'clean',
                $state === 'passed' || $passed => 'passed',
                default => 'tried',
            };
        }

        return ['tries' => $tries, 'state' => $state, 'best' => $best, 'open' => $open];
    }
}
