<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Kit\Profiles\Behaviour;
use EmberDusk\Kit\Profiles\Gesture;
use EmberDusk\Kit\Profiles\Signal;

/** Instructions that no kit has, drawn by the dice. */
trait SeededLeaflets
{
    private const KEYS = ['SET', 'MEET', 'GO', 'LEARN', 'ID', 'TUNE', 'PLUS', 'RING'];

    private function number(float $least, float $most): float
    {
        return round($this->dice->between($least, $most, 'draw ' . $this->draws++), 2);
    }

    private function whole(int $least, int $most): int
    {
        return min($most, (int) floor($this->number($least, $most + 0.99)));
    }

    private function key(): string
    {
        return self::KEYS[$this->whole(0, count(self::KEYS) - 1)];
    }

    private function signal(): Signal
    {
        $times = [];
        for ($n = 0; $n < 2 * $this->whole(1, 4) + 1; $n++) {
            $times[] = $this->number(0.15, 0.9);
        }

        return new Signal($times);
    }

    /** Gestures of different shape: no device takes one for another. */
    private function presses(int $from): Gesture
    {
        return Gesture::presses($this->key(), $from + $this->whole(0, 1), $this->number(2.5, 4.0));
    }

    private function zigbeeLeaflet(): Behaviour
    {
        $takes = $this->number(1, 4);

        return new Behaviour(
            gestures: ['reset' => $this->presses(5), 'link' => $this->presses(3)],
            signals: [
                'waits' => $this->signal(),
                'held' => $this->signal(),
                'resetDone' => $this->signal(),
                'joined' => $this->signal(),
                'linked' => $this->signal(),
            ],
            figures: [
                'listens' => $this->number(12, 30),
                'takesLeast' => $takes,
                'takesMost' => $takes + $this->number(0, 4),
                'linkListens' => $this->number(15, 40),
                'apart' => $this->number(1, 3),
                'entries' => (float) $this->whole(1, 2),
            ],
        );
    }

    private function remoteLeaflet(): Behaviour
    {
        $takes = $this->number(1, 4);

        return new Behaviour(
            gestures: [
                'reset' => Gesture::read('hold ON until lit; press ON 5'),
                'join' => Gesture::read('hold ON until lit; press ' . $this->key()),
                'link' => Gesture::read('hold zone 2; press ' . $this->key()),
            ],
            signals: [
                'resetDone' => $this->signal(),
                'looks' => $this->signal(),
                'joined' => $this->signal(),
                'linked' => $this->signal(),
            ],
            figures: [
                'listens' => $this->number(15, 30),
                'takesLeast' => $takes,
                'takesMost' => $takes + $this->number(0, 4),
                'near' => $this->number(0.05, 0.3),
            ],
        );
    }

    private function receiverLeaflet(): Behaviour
    {
        return new Behaviour(
            gestures: ['reset' => $this->presses(6), 'join' => $this->presses(1)],
            signals: ['resetDone' => $this->signal(), 'linked' => $this->signal(), 'held' => $this->signal()],
            figures: ['listens' => $this->number(6, 20), 'soon' => $this->number(3, 6)],
        );
    }
}
