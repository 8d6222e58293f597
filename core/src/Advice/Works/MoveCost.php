<?php

declare(strict_types=1);

namespace EmberDusk\Advice\Works;

use EmberDusk\Advice\Work;
use EmberDusk\Build\Course;
use EmberDusk\Build\Move;
use EmberDusk\Build\Pin;

/** What moving a step costs, beside how it is now. */
final readonly class MoveCost
{
    /**
     * @return array{broken: list<string>, costs: list<array{what: string, before: string, after: string}>} as in core/schema/responses.json, $defs/moveCost
     *
     * @throws \EmberDusk\Values\Trouble when the step is not there or done
     */
    public static function of(Work $work, Pin $pin): array
    {
        $move = Move::of(Worksheet::of($work)->course(), $pin);
        $rows = [];
        foreach (
            [
                'everything is done' => self::end(...),
                'days with work' => self::days(...),
                'people wait' => self::idle(...),
            ]
            as $what => $say
        ) {
            $rows[] = ['what' => $what, 'before' => $say($move->before), 'after' => $say($move->after)];
        }

        return ['broken' => $move->broken, 'costs' => $rows];
    }

    private static function end(Course $course): string
    {
        return $course->days->words($course->schedule->end());
    }

    private static function days(Course $course): string
    {
        return (string) count($course->schedule->worked());
    }

    private static function idle(Course $course): string
    {
        return sprintf('%.1f h', $course->idle() / 60);
    }
}
