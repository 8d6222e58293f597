<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Kit\Profiles\Signal;
use EmberDusk\Values\Copies;

/** The current step: action, place, reason, expected observation, time window, and advice on failure. */
final readonly class JoinStep
{
    use Copies;

    /** Kinds of trials: whether a light returns with its power; whether something still works, where either answer is right. */
    public const RETURNS = 'returns';

    public const STILL = 'still';

    /** Kind of the trial of a preset. */
    public const RECALL = 'recall';

    /**
     * @param  string  $task  id of the task that it belongs to
     * @param  string  $kind  which step of the task
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
     * @param  array{float, float}|null  $opens  seconds from, to after the gesture of that step; null: from it on, for as long as is waited
     * @param  array{float, float}|null  $window  run seconds from, to; filled in by the guide
     * @param  float|null  $lookUntil  run second until which a sign may still come; filled in by the guide
     * @param  self|null  $then  a second pattern that follows on the same card, with nothing to do between; filled in by the guide
     */
    public function __construct(
        public string $task,
        public string $kind,
        public Look $look,
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
        public ?array $opens = null,
        public ?array $window = null,
        public ?float $lookUntil = null,
        public ?self $then = null,
    ) {}

    public function key(): string
    {
        return "{$this->task}/{$this->kind}";
    }

    /**
     * Possible answers in the order in which they are shown.
     *
     * @param  bool  $onSite  whether a list's line is typed, as only its reader knows it
     * @param  bool  $byHand  whether a person does it, and not simulated hands
     * @return list<StepAnswer>
     */
    public function answers(bool $onSite, bool $byHand = true): array
    {
        $work = fn(string $label): StepAnswer => $this->answer(
            StepAnswer::WORK,
            $this->key(),
            $label,
            StepAnswer::WORK,
        );
        $saw = [...$this->second(), ...array_map($this->observed(...), $this->observations())];

        return match ($this->look) {
            Look::Hand => [$work($byHand ? 'Done' : 'Do it')],
            Look::Name => [$this->answer(Event::NAMED, '', 'Save name', Event::NAMED, typed: true)],
            Look::Mend => [
                $this->answer(Event::MENDED, "{$this->kind}|yes", 'Yes, fixed', StepAnswer::YES),
                $this->answer(Event::MENDED, "{$this->kind}|no", 'No, that is fine', StepAnswer::NO),
            ],
            Look::List => $onSite
                ? [$this->answer(Event::FOUND, '', 'It is listed', Event::FOUND, typed: true), ...$saw]
                : $saw,
            Look::Try, Look::End => $saw,
            default => $this->acts === [] ? $saw : [$work($byHand ? 'Done, look now' : 'Do it, then look'), ...$saw],
        };
    }

    private function observed(Observation $seen): StepAnswer
    {
        $first = $this->then !== null && $seen === Observation::Expected;

        return $this->answer(
            kind: Event::SAW,
            text: "{$this->key()}|{$seen->value}",
            label: $first ? 'Only the first' : $this->label($seen),
            key: $first ? StepAnswer::FIRST : $seen->value,
        );
    }

    /** @return list<StepAnswer> that the second pattern of the card came, which proves the first */
    private function second(): array
    {
        if ($this->then === null) {
            return [];
        }
        $seen = Observation::Expected->value;

        return [$this->answer(Event::SAW, "{$this->then->key()}|{$seen}", 'Saw the second', $seen)];
    }

    private function answer(string $kind, string $text, string $label, string $key, bool $typed = false): StepAnswer
    {
        return new StepAnswer($kind, $this->device, $text, $label, $key, $typed);
    }

    /** @return list<Observation> what may be seen where it is looked for, the expected one first */
    private function observations(): array
    {
        return match ($this->look) {
            Look::Lamp => [
                Observation::Expected,
                ...$this->kind === 'link' ? [Observation::Elsewhere] : [],
                Observation::Other,
                Observation::Several,
                Observation::Nothing,
            ],
            Look::Lights => [Observation::Expected, Observation::Elsewhere, Observation::Nothing],
            Look::Try => match ($this->kind) {
                self::RETURNS => [Observation::Expected, Observation::Dim, Observation::Nothing],
                self::STILL, self::RECALL => [Observation::Expected, Observation::Nothing],
                default => [
                    Observation::Expected,
                    Observation::Wrong,
                    Observation::Part,
                    Observation::Dim,
                    Observation::Elsewhere,
                    Observation::Nothing,
                ],
            },
            Look::Says => [Observation::Expected, Observation::Nothing],
            Look::List => [Observation::Nothing],
            default => [],
        };
    }

    private function label(Observation $seen): string
    {
        if ($this->look === Look::List) {
            return 'Not listed';
        }
        if ($seen !== Observation::Expected) {
            return ucfirst($seen->words());
        }

        return match ($this->look) {
            Look::Lamp => 'Saw that',
            Look::Lights => 'Yes, that strip',
            Look::Try => match ($this->kind) {
                self::RETURNS => 'It is lit again',
                self::STILL => 'It still works',
                self::RECALL => 'Yes, that scene',
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
    public function now(
        ?array $window,
        string $alert,
        ?string $title = null,
        ?array $acts = null,
        ?float $lookUntil = null,
        ?self $then = null,
    ): self {
        return $this->withChanged(
            title: $title ?? $this->title,
            acts: $acts ?? $this->acts,
            alert: $alert,
            window: $window,
            lookUntil: $lookUntil,
            then: $then,
        );
    }

    /** One step of this and of the next, which must follow immediately: both are read before the first gesture. */
    public function followedBy(self $next): self
    {
        return $next->withChanged(
            title: "{$this->title}, then at once " . lcfirst($next->title),
            why: trim("{$this->why} {$next->why}"),
            at: $this->at === '' ? $next->at : $this->at,
            where: $this->at === '' ? $next->where : $this->where,
            acts: [...$this->acts, ...$next->acts],
            before: $this->before + $next->before,
            on: array_values(array_unique([...$this->on, ...$next->on])),
            off: array_values(array_unique([...$this->off, ...$next->off])),
            retry: '',
            opened: '',
            opens: null,
            caution: trim("{$this->caution} {$next->caution}"),
        );
    }
}
