<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Record\CheckedRecord;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\Record;

/** A stay at the site: from which day, for how many days of work, with how many people. */
final readonly class Visit implements CheckedRecord
{
    use Record;

    public const MOST_DAYS = 60;

    /**
     * @param  string  $from  YYYY-MM-DD
     * @param  int  $days  of work; 0 is as many as it takes
     */
    public function __construct(
        public string $from,
        #[Field(0, self::MOST_DAYS)] public int $days = 0,
        #[Field(1, 2)] public int $people = 1,
    ) {}

    public function checked(Fields $f): self
    {
        Day::read($f, 'from');

        return $this;
    }
}
