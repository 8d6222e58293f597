<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Log;

use EmberDusk\Bench\Meter\MeterSpot;
use EmberDusk\Bench\Meter\Reading;
use EmberDusk\Values\Range;

/** A reading compared with good wiring. */
final readonly class Row
{
    /**
     * @param  MeterSpot|null  $spot  null where the plan has no such place any more
     * @param  Range|null  $range  where good wiring is; null where nothing conducts
     * @param  DoubtfulReading|null  $doubt the open question, if it was not confirmed
     * @param  bool  $stands  whether it is the last one there and counts
     * @param  LogEntry|null  $against  an earlier one at the same place that it contradicts
     */
    public function __construct(
        public LogEntry $entry,
        public ?MeterSpot $spot,
        public ?Reading $reading,
        public ?Range $range,
        public ?DoubtfulReading $doubt,
        public bool $stands,
        public ?LogEntry $against,
    ) {}
}
