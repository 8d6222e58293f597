<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Values\Copies;

/** A trigger of a scene, a show or switching off: clock, sun, presence, key press, vehicle wire. */
final readonly class Trigger
{
    use Copies;

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
    public const SIGNALS = ['key', 'brake', 'left', 'right'];

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
        public string $id,
        public string $by,
        public string $plays,
        public string $on = '',
        public array $days = [],
        public int $minutes = 0,
        public int $priority = 5,
        public float $after = 0.0,
    ) {}

    /** @throws \EmberDusk\Values\Refusal at what cannot be */
    public static function read(Fields $f): self
    {
        $by = $f->oneOf('by', array_keys(self::BY));
        $days = array_values(array_unique(array_map(intval(...), $f->numbers('days', 1, 7))));
        sort($days);

        return new self(
            id: $f->string('id', 40),
            by: $by,
            plays: $f->string('plays', 40),
            on: trim($f->string('on', 40)),
            days: $days,
            minutes: $f->whole('minutes', $by === self::CLOCK ? 0 : 1 - self::DAY, self::DAY - 1),
            priority: $f->whole('priority', 1, self::LEAST),
            after: $f->number('after', 0, Show::LONGEST),
        );
    }

    public function called(string $id): self
    {
        return $this->withChanged(id: $id);
    }

    /** @return array<string, mixed> */
    public function write(): array
    {
        return [
            'id' => $this->id,
            'by' => $this->by,
            'on' => $this->on,
            'days' => $this->days,
            'minutes' => $this->minutes,
            'plays' => $this->plays,
            'priority' => $this->priority,
            'after' => $this->after,
        ];
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
