<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Kit\Profiles\Signal;

/** The current step: action, place, reason, expected observation, time window, and advice on failure. */
final readonly class JoinStep
{
    /** Only done; nothing is looked for. */
    public const HAND = 'hand';

    /** A lamp or load is looked at. */
    public const LAMP = 'lamp';

    /** The app or a lamp says that it is so, or does not. */
    public const SAYS = 'says';

    /** The app's list is waited for. */
    public const LIST = 'list';

    /** A light is switched in the app: which answers. */
    public const LIGHTS = 'lights';

    public const NAME = 'name';

    /** A control is pressed and the light looked at: on, off, 10 %, 80 %, colour. */
    public const TRY = 'try';

    /** Something is looked at that may be wrong, and fixed if it is. */
    public const MEND = 'mend';

    public const END = 'end';

    /** Kinds of trials: whether a light returns with its power; whether something still works, where either answer is right. */
    public const RETURNS = 'returns';

    public const STILL = 'still';

    /**
     * @param  string  $task  id of the task that it belongs to
     * @param  string  $kind  which step of the task
     * @param  string  $look kind of question: one of the above
     * @param  string  $device device of its lane
     * @param  string  $at  unit beside which the hands are; empty: where they are, phone in hand
     * @param  string  $where  in words
     * @param  list<Act>  $acts hand actions
     * @param  string  $watches  unit whose lamp or load is looked at
     * @param  string  $signal  name of the pattern that should be seen
     * @param  string  $expects  what should be seen, in words
     * @param  float  $before  seconds through an app before the act
     * @param  float  $waits  seconds that there are to see it
     * @param  string|null  $search  device whose search must run meanwhile
     * @param  float  $searchFor  seconds that must be left of it
     * @param  string|null  $quiet  device whose search must have ended
     * @param  list<string>  $on  units that must have power
     * @param  list<string>  $off  units that must not
     * @param  string  $retry  the step of the task to go back to where nothing is seen; empty: this one
     * @param  string  $opened  the step of the task that opened the window in which this has to be seen
     * @param  array{float, float}|null  $window  run seconds from, to; filled in by the guide
     */
    public function __construct(
        public string $task,
        public string $kind,
        public string $look,
        public string $device,
        public string $title,
        public string $why,
        public string $at = '',
        public string $where = '',
        public array $acts = [],
        public string $watches = '',
        public string $signal = '',
        public ?Signal $expect = null,
        public string $expects = '',
        public float $before = 0.0,
        public float $waits = 0.0,
        public ?string $search = null,
        public float $searchFor = 0.0,
        public ?string $quiet = null,
        public array $on = [],
        public array $off = [],
        public string $retry = '',
        public string $opened = '',
        public string $ifNot = '',
        public string $caution = '',
        public string $alert = '',
        public ?array $window = null,
    ) {}

    public function key(): string
    {
        return "{$this->task}/{$this->kind}";
    }

    /** @return list<string> what else may be seen where it is looked for; as in {@see Observation} */
    public function picks(): array
    {
        return match ($this->look) {
            self::LAMP => $this->kind === 'link'
                ? [Observation::ELSEWHERE, Observation::OTHER, Observation::SEVERAL, Observation::NOTHING]
                : [Observation::OTHER, Observation::SEVERAL, Observation::NOTHING],
            self::LIGHTS => [Observation::ELSEWHERE, Observation::NOTHING],
            self::TRY => match ($this->kind) {
                self::RETURNS => [Observation::DIM, Observation::NOTHING],
                self::STILL => [Observation::NOTHING],
                default => [
                    Observation::WRONG,
                    Observation::PART,
                    Observation::DIM,
                    Observation::ELSEWHERE,
                    Observation::NOTHING,
                ],
            },
            self::SAYS, self::LIST => [Observation::NOTHING],
            default => [],
        };
    }

    /** Label of the answer for the expected observation. */
    public function yes(): string
    {
        return match ($this->look) {
            self::LAMP => 'Saw that',
            self::LIGHTS => 'Yes, that strip',
            self::TRY => match ($this->kind) {
                self::RETURNS => 'It is lit again',
                self::STILL => 'It still works',
                default => 'All of it works',
            },
            default => 'Yes',
        };
    }

    /**
     * With the guide's knowledge of the moment.
     *
     * @param  array{float, float}|null  $window
     * @param  list<Act>|null  $acts
     */
    public function now(?array $window, string $alert, ?string $title = null, ?array $acts = null): self
    {
        return new self(
            task: $this->task,
            kind: $this->kind,
            look: $this->look,
            device: $this->device,
            title: $title ?? $this->title,
            why: $this->why,
            at: $this->at,
            where: $this->where,
            acts: $acts ?? $this->acts,
            watches: $this->watches,
            signal: $this->signal,
            expect: $this->expect,
            expects: $this->expects,
            before: $this->before,
            waits: $this->waits,
            search: $this->search,
            searchFor: $this->searchFor,
            quiet: $this->quiet,
            on: $this->on,
            off: $this->off,
            retry: $this->retry,
            opened: $this->opened,
            ifNot: $this->ifNot,
            caution: $this->caution,
            alert: $alert,
            window: $window,
        );
    }
}
