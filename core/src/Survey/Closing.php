<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** Whether the walls meet where "close" says that they do. */
final readonly class Closing
{
    /** A tape on two walls is not better than this, in metres. */
    private const TOLERANCE = 0.02;

    /** @param  list<Leg>  $legs */
    public static function slip(WallSheet $sheet, array $legs, Word $close): ?Slip
    {
        $corners = $sheet->corners;
        $end = $corners[count($corners) - 1];
        $missing = $end->to($corners[0]);
        $walls = array_values(array_filter($legs, static fn(Leg $l): bool => !$l->climbs));
        $last = end($walls);
        if ($missing <= self::TOLERANCE || $last === false) {
            return null;
        }
        $message =
            'The room does not close: ' .
            Length::say($missing, $sheet->system) .
            ' are missing between its last corner and its start.';
        // If the gap is along the last wall, its length was misread.
        $along =
            ($corners[0]->x - $end->x) * sin(deg2rad($last->heading)) +
            ($corners[0]->y - $end->y) * cos(deg2rad($last->heading));
        $length = $last->length + $along;
        if (abs(abs($along) - $missing) < self::TOLERANCE && $length > 0) {
            $word = $last->measured->word;
            $instead = Length::write($length, $last->measured->system);

            return new Slip(
                line: $word->line,
                column: $word->column,
                length: $word->length(),
                message: $message . " Did you mean {$instead}?",
                instead: $instead,
            );
        }

        return new Slip(
            $close->line,
            $close->column,
            $close->length(),
            $message . ' Measure the legs again, or leave “close” out.',
        );
    }
}
