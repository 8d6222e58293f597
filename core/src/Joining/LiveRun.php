<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\OutOfTurn;
use EmberDusk\Values\Refusal;

/**
 * A join run: its log so far, what may be done next, and what the clock adds to the log. In a rehearsal stand-ins answer; on site the hands
 * are real, and what is seen is what somebody says.
 */
final class LiveRun
{
    /** Seconds between the presses of a gesture that is done in one action. */
    private const BEAT = 0.35;

    /** @param  list<Event>  $log in the order of time */
    public function __construct(
        public readonly Kit $kit,
        private readonly int $seed,
        private array $log,
        public readonly bool $onSite = false,
    ) {}

    /** @return list<Event> */
    public function log(): array
    {
        return $this->log;
    }

    /**
     * Puts into the log what has come about by itself: a missed window, a light in the app's list.
     *
     * @return list<Event> what was added
     */
    public function settle(float $now): array
    {
        $new = $this->kit->family->notices($this->kit, $this->log, $now);
        foreach ($this->onSite ? [] : $this->site($now)->list() as $device => $listed) {
            if ($this->kit->family->listedAs($device, $this->kit, [...$this->log, ...$new]) === null) {
                $new[] = new Event($now, 'found', $device, $listed);
            }
        }
        $this->log = [...$this->log, ...$new];

        return $new;
    }

    /**
     * Something done or said now, after all that came about by itself.
     *
     * @param  int  $presses  of a key, in one action
     * @return list<Event> what was added by it
     *
     * @throws Refusal when the device or the kind is unknown, or when nothing was asked that this would answer
     */
    public function act(string $kind, string $device, float $now, int $presses = 1, string $text = ''): array
    {
        if ($device !== $this->kit->hubId && !isset($this->kit->controllers[$device])) {
            throw InvalidInput::at('/device', "“{$device}” is no device of this run.");
        }
        $hand = in_array($kind, Event::HANDS, true);
        if ($kind === 'found' && !$this->onSite) {
            throw InvalidInput::at('/kind', 'In a rehearsal a light comes into the list by itself.');
        }
        if ($kind === 'found' && trim($text) === '') {
            throw InvalidInput::at('/name', 'Say as what the app lists it, such as “Light 1”.');
        }
        if (!$hand && !in_array($kind, Event::SAID, true) && $kind !== 'named') {
            throw InvalidInput::at('/kind', "“{$kind}” is nothing that is done or said here.");
        }
        if (!$hand && !in_array($kind, $this->next($now)->answers, true)) {
            throw OutOfTurn::at('/kind', 'The run has moved on: that answers an earlier step.');
        }
        if (($kind === 'search') !== ($device === $this->kit->hubId)) {
            throw InvalidInput::at('/device', 'Search belongs to the hub, everything else to a controller.');
        }
        $last = $this->log === [] ? 0.0 : $this->log[count($this->log) - 1]->at;
        $at = max($now, $last);
        $new = [];
        for ($n = 0; $n < ($kind === 'press' ? max(1, min(20, $presses)) : 1); $n++) {
            $new[] = new Event($at + $n * self::BEAT, $kind, $device, $text);
        }
        $this->log = [...$this->log, ...$new];

        return $new;
    }

    public function site(float $now): StandIns
    {
        if ($this->onSite) {
            return new Unseen($this->listed());
        }

        return $this->kit->family->standIns($this->kit, $this->seed, $this->log, $now);
    }

    /** @return array<string, string> as what the app lists devices, as far as somebody said */
    private function listed(): array
    {
        $list = [];
        foreach (array_keys($this->kit->controllers) as $device) {
            $listed = $this->kit->family->listedAs($device, $this->kit, $this->log);
            $list += $listed === null ? [] : [$device => $listed];
        }

        return $list;
    }

    public function next(float $now): Step
    {
        return $this->kit->family->next($this->kit, $this->log, $now);
    }

    public function done(float $now): bool
    {
        return $this->next($now)->kind === 'done';
    }
}
