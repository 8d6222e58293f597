<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Belief;

use EmberDusk\Joining\Observation;

/** Something that may be wrong with one device, how it would show at the steps of a task, and how it is looked for and fixed. */
final readonly class Suspect
{
    /** Any step at which the device's own lamp or load is looked at. */
    public const LAMP = '@lamp';

    /** Steps to repeat after a fault is fixed. */
    public const STEP = 'step';

    public const TASK = 'task';

    public const DEVICES = 'devices';

    /**
     * @param  string  $code  of the fault
     * @param  string  $device  with which it would be
     * @param  array<string, Observation>  $shows by step kind, or {@see LAMP}: its observation instead of the expected one
     * @param  string  $says the fault, as text
     * @param  string  $check  what to look at, and what to do if it is so
     * @param  float  $seconds  of looking, common practice, no source
     * @param  string  $again steps to repeat afterwards
     * @param  list<string>  $with  ids of other devices that are begun again with it
     */
    public function __construct(
        public string $code,
        public string $device,
        public array $shows,
        public string $says,
        public string $check,
        public float $seconds = 15.0,
        public string $again = self::TASK,
        public string $caution = '',
        public array $with = [],
    ) {}

    public function key(): string
    {
        return "{$this->code}@{$this->device}";
    }
}
