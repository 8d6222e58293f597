<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Log;

use EmberDusk\Bench\Channels\Pixels;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Values\InvalidInput;

/**
 * A log entry: a reading, observation, fix, remark or strike-out, with its time and person. Entries are never changed: a later entry strikes a wrong
 * one out.
 */
final readonly class LogEntry
{
    public const KINDS = ['reading', 'colour', 'count', 'mend', 'remark', self::FAIL, self::ACCEPT, self::STRIKE];

    /** A test did not end as expected. Its command is the id of the test, its text the test and the observation. */
    public const FAIL = 'fail';

    /** Accepts an open point. Its command is the key of the finding, its text the finding and the reason. */
    public const ACCEPT = 'accept';

    /** Strikes out the entry whose uuid is its command. Its text is the reason. */
    public const STRIKE = 'strike';

    /** Largest reading, in volts or amps: far beyond any meter, and small enough to calculate with. */
    private const LARGEST = 1e6;

    /**
     * @param  string  $kind  of KINDS
     * @param  string  $place  a spot, a run, a device, a place of the job
     * @param  string  $command the command: of {@see MeterCommand}; of a count its number; of a strike the uuid of the entry
     * @param  float|null  $value  volts, amps, a set of colours, the last pixel
     * @param  string  $by  what commanded it: of {@see \EmberDusk\Bench\Tests\Commander}
     * @param  bool  $sure whether a doubtful value was confirmed
     * @param  string  $at  UTC, YYYY-MM-DDTHH:MM:SS.sssZ
     */
    public function __construct(
        public string $uuid,
        public string $kind,
        public string $place,
        public string $command,
        public ?float $value,
        public string $text,
        public string $by,
        public bool $sure,
        public string $at,
        public string $who,
    ) {}

    /**
     * Requirements of an entry that do not depend on the current job.
     *
     * @throws InvalidInput with the field and the expected value
     */
    public function check(): self
    {
        if (!in_array($this->kind, self::KINDS, true)) {
            throw new InvalidInput("“{$this->kind}” is not one of " . implode(', ', self::KINDS) . '.', '/kind');
        }
        if ($this->kind === 'reading' || $this->kind === 'colour') {
            MeterCommand::read($this->command);
        }
        if ($this->kind === 'count' && preg_match('/^count:[1-9][0-9]{0,4}$/', $this->command) !== 1) {
            throw new InvalidInput('Enter the count that was set: a whole number from 1.', '/command');
        }
        if (
            in_array($this->kind, ['reading', 'colour', 'count'], true) &&
            ($this->value === null || !is_finite($this->value))
        ) {
            throw new InvalidInput('Enter what was read or seen: a number.', '/value');
        }
        if ($this->kind === 'reading' && abs((float) $this->value) > self::LARGEST) {
            throw new InvalidInput('A reading is between -1,000,000 and 1,000,000.', '/value');
        }
        $whole = $this->kind !== 'reading' && $this->value !== null;
        if ($whole && ((float) (int) $this->value !== $this->value || $this->value < Pixels::MANY)) {
            throw new InvalidInput('Enter what was seen as a whole number.', '/value');
        }
        if ($this->kind === 'remark' && trim($this->text) === '') {
            throw new InvalidInput('A remark has words.', '/text');
        }
        if ($this->kind === self::FAIL && ($this->command === '' || trim($this->text) === '')) {
            throw new InvalidInput('Name the test and what was observed.', '/text');
        }
        if ($this->kind === self::ACCEPT && ($this->command === '' || trim($this->text) === '')) {
            throw new InvalidInput('Give the reason for accepting it.', '/text');
        }
        if ($this->kind === self::STRIKE && preg_match('/^[0-9a-f-]{36}$/', $this->command) !== 1) {
            throw new InvalidInput('Name the entry to strike out by its uuid.', '/command');
        }
        if ($this->kind === self::STRIKE && trim($this->text) === '') {
            throw new InvalidInput('Give the reason for striking it out.', '/text');
        }

        return $this;
    }
}
