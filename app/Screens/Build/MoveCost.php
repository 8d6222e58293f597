<?php

declare(strict_types=1);

namespace App\Screens\Build;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Job\JobState;
use EmberDusk\Schedule\Move;
use EmberDusk\Schedule\Pin;
use EmberDusk\Schedule\RemainingWork;

/** Cost of moving a step, compared with its current time. */
final readonly class MoveCost implements View
{
    use WrittenRecord;

    /**
     * @param  list<string>  $broken
     * @param  list<MoveRow>  $costs
     */
    public function __construct(
        #[Field(of: Field::TEXTS)] public array $broken,
        #[Field(of: MoveRow::class)] public array $costs,
    ) {}

    /** @throws \EmberDusk\Values\Refusal when the step is not there or done */
    public static function for(JobState $state, Pin $pin): self
    {
        $move = Move::for($state->schedule()->remaining(), $pin);
        $rows = [];
        foreach (
            [
                'everything is done' => self::end(...),
                'days with work' => self::days(...),
                'people wait' => self::idle(...),
            ]
            as $what => $say
        ) {
            $rows[] = new MoveRow(what: $what, before: $say($move->before), after: $say($move->after));
        }

        return new self(broken: $move->broken, costs: $rows);
    }

    private static function end(RemainingWork $remaining): string
    {
        return $remaining->days->words($remaining->timetable->end());
    }

    private static function days(RemainingWork $remaining): string
    {
        return (string) count($remaining->timetable->worked());
    }

    private static function idle(RemainingWork $remaining): string
    {
        return sprintf('%.1f h', $remaining->idle() / 60);
    }
}
