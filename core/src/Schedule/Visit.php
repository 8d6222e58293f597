<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Formats\Fields;

/** A stay at the site: from which day, for how many days of work, with how many people. */
final readonly class Visit
{
    public const MOST_DAYS = 60;

    /**
     * @param  string  $from  YYYY-MM-DD
     * @param  int  $days  of work; 0 is as many as it takes
     */
    public function __construct(public string $from, public int $days = 0, public int $people = 1) {}

    public static function read(Fields $f): self
    {
        return new self(Day::read($f, 'from'), $f->whole('days', 0, self::MOST_DAYS), $f->whole('people', 1, 2));
    }

    /** @return array{from: string, days: int, people: int} */
    public function write(): array
    {
        return ['from' => $this->from, 'days' => $this->days, 'people' => $this->people];
    }
}
