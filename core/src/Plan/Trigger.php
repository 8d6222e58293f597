<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Record\CheckedRecord;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\Record;
use EmberDusk\Survey\Site\SignalWire;

/** A trigger of a scene, a show or switching off: clock, sun, presence, key press, vehicle wire. */
final readonly class Trigger implements CheckedRecord
{
    use Record;

    public const CLOCK = 'clock';

    public const SUNRISE = 'sunrise';

    public const SUNSET = 'sunset';

    public const PRESENCE = 'presence';

    public const PUSH = 'push';

    public const BY = [
        self::CLOCK => 'at a set time',
        self::SUNRISE => 'by sunrise',
        self::SUNSET => 'by sunset',
        self::PRESENCE => 'on presence',
        self::PUSH => 'push-button',
        'key' => 'key of the vehicle on',
        'brake' => 'brake',
        'left' => 'left indicator',
        'right' => 'right indicator',
    ];

    /** Those that a clock decides. */
    public const TIMED = [self::CLOCK, self::SUNRISE, self::SUNSET];

    /** Wires of a vehicle. */
    public const SIGNALS = SignalWire::NAMES;

    /** It plays nothing: everything goes out. */
    public const NOTHING = 'off';

    /** Minutes of a day; before or after the sun as many at most. */
    private const DAY = 1440;

    /** From 1, which goes before all others. */
    public const LEAST = 9;

    /**
     * @param  string  $on place of the sensor or name of the button, free text
     * @param  list<int>  $days  1 is Monday (ISO 8601); empty: every day
     * @param  int  $minutes  from midnight, or after sunrise or sunset; before them below 0
     * @param  string  $plays  scene or show, or {@see NOTHING}
     * @param  int  $priority  1 goes before 2
     * @param  float  $after  seconds that it goes on when presence, button or wire is gone
     */
    public function __construct(
        #[Field(longest: 40)] public string $id,
        #[Field(oneOf: self::BY)] public string $by,
        #[Field(longest: 40)] public string $on = '',
        #[Field(1, 7, of: Field::WHOLES)] public array $days = [],
        #[Field(1 - self::DAY, self::DAY - 1)] public int $minutes = 0,
        #[Field(longest: 40)] public string $plays = self::NOTHING,
        #[Field(1, self::LEAST)] public int $priority = 5,
        #[Field(0, Show::LONGEST)] public float $after = 0.0,
    ) {}

    public function checked(Fields $f): self
    {
        if ($this->by === self::CLOCK && $this->minutes < 0) {
            throw $f->invalid('minutes', 'A time of day is counted from midnight.');
        }
        $days = array_values(array_unique($this->days));
        sort($days);

        return $this->withChanged(on: trim($this->on), days: $days);
    }

    public function called(string $id): self
    {
        return $this->withChanged(id: $id);
    }

    public function timed(): bool
    {
        return in_array($this->by, self::TIMED, true);
    }

    public function wired(): bool
    {
        return in_array($this->by, self::SIGNALS, true);
    }

    /** Such as “push-button, door” or “30 minutes before sunset”. */
    public function words(): string
    {
        $minutes = abs($this->minutes);

        return match (true) {
            $this->by === self::CLOCK => sprintf('at %02d:%02d', intdiv($minutes, 60), $minutes % 60),
            $this->timed() && $minutes === 0 => "at {$this->by}",
            $this->timed() => "{$minutes} minutes " . ($this->minutes < 0 ? 'before' : 'after') . " {$this->by}",
            $this->on !== '' => self::BY[$this->by] . ", {$this->on}",
            default => self::BY[$this->by],
        };
    }
}
