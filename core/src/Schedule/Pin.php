<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Record\CheckedRecord;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\Record;

/** A step that was moved: the day, the minute of it and the person who is kept free for it. */
final readonly class Pin implements CheckedRecord
{
    use Record;

    /**
     * @param  string  $day  YYYY-MM-DD
     * @param  int  $from  minutes after the day's begin
     * @param  int  $person  number from 0
     */
    public function __construct(
        #[Field(longest: 60)] public string $step,
        public string $day,
        #[Field(0, Timetable::DAY - 5)] public int $from,
        #[Field(0, 1)] public int $person = 0,
    ) {}

    public function checked(Fields $f): self
    {
        Day::read($f, 'day');

        return $this;
    }
}
