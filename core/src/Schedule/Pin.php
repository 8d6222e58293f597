<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Formats\Fields;

/** A step that was moved: the day, the minute of it and the person who is kept free for it. */
final readonly class Pin
{
    /**
     * @param  string  $day  YYYY-MM-DD
     * @param  int  $from  minutes after the day's begin
     * @param  int  $person  number from 0
     */
    public function __construct(public string $step, public string $day, public int $from, public int $person = 0) {}

    public static function read(Fields $f): self
    {
        return new self(
            $f->string('step', 60),
            Day::read($f, 'day'),
            $f->whole('from', 0, Timetable::DAY - 5),
            $f->whole('person', 0, 1),
        );
    }

    /** @return array{step: string, day: string, from: int, person: int} */
    public function write(): array
    {
        return ['step' => $this->step, 'day' => $this->day, 'from' => $this->from, 'person' => $this->person];
    }
}
