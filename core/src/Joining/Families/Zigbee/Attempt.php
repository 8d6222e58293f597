<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Zigbee;

use EmberDusk\Joining\Event;
use EmberDusk\Joining\Kit;
use EmberDusk\Kit\Profiles\ControllerProfile;

/** How far one controller has come, read from the log alone: what was done by hand and what was said to be seen. */
final class Attempt
{
    public bool $powered = false;

    public ?float $searchFrom = null;

    /** Last press of a whole reset gesture in this attempt. */
    public ?float $resetAt = null;

    /** @var list<float> presses since the last whole gesture */
    public array $presses = [];

    public bool $resetSeen = false;

    public bool $joinedSeen = false;

    public bool $nothingSeen = false;

    public bool $wrongSeen = false;

    public ?string $listedAs = null;

    public bool $toggled = false;

    public bool $identified = false;

    public bool $named = false;

    public string $missed = '';

    public int $misses = 0;

    /** @param  list<Event>  $log */
    public static function of(string $device, Kit $kit, array $log): self
    {
        $attempt = new self();
        foreach ($log as $event) {
            if ($event->device === $device || $event->device === $kit->hubId) {
                $attempt->take($event, $kit->controllers[$device]);
            }
        }

        return $attempt;
    }

    private function take(Event $event, ControllerProfile $profile): void
    {
        match ($event->kind) {
            'power-on' => ($this->powered = true),
            'power-off' => ($this->powered = false),
            'search' => ($this->searchFrom = $event->at),
            'press' => $this->press($event->at, $profile),
            'saw-reset' => ($this->resetSeen = true),
            'saw-joined' => ($this->joinedSeen = $this->resetSeen = true),
            'saw-nothing' => $this->nothing(),
            'saw-other' => $this->other(),
            'found' => ($this->listedAs = $event->text),
            'toggle' => ($this->toggled = true),
            'identified' => ($this->identified = true),
            'not-identified' => ($this->toggled = false),
            'named' => ($this->named = true),
            'missed' => $this->again($event->text),
            default => null,
        };
    }

    private function press(float $at, ControllerProfile $profile): void
    {
        if (!$this->powered) {
            return;
        }
        $this->presses[] = $at;
        if (Gesture::isWhole($this->presses, $profile)) {
            $this->resetAt = $at;
            $this->presses = [];
            $this->resetSeen = $this->joinedSeen = $this->nothingSeen = $this->wrongSeen = false;
            $this->listedAs = null;
            $this->toggled = $this->identified = $this->named = false;
        }
    }

    /** Nothing seen where the reset's flashes belong: the gesture did not count. Later: no confirmation. */
    private function nothing(): void
    {
        if ($this->resetSeen) {
            $this->nothingSeen = true;
        } else {
            $this->resetAt = null;
            $this->wrongSeen = false;
        }
    }

    private function other(): void
    {
        $this->wrongSeen = true;
        if (!$this->resetSeen) {
            $this->resetAt = null;
        }
    }

    private function again(string $why): void
    {
        $this->missed = $why;
        $this->misses++;
        $this->resetAt = null;
        $this->presses = [];
        $this->resetSeen = $this->nothingSeen = $this->wrongSeen = false;
    }
}
