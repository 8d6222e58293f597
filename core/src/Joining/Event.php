<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/**
 * One line of a join run's log: when (run seconds), what, on which device, and what more there is to it.
 *
 * Done by hand: power-on, power-off, press (a key), search (in the hub's app), toggle (a light in the app).
 * Said: saw (data: which signal). Noted by the guide: missed, found. Decided: named (data: name and room).
 */
final readonly class Event
{
    public const HANDS = ['power-on', 'power-off', 'press', 'search', 'toggle'];

    public const SAID = [
        'saw-reset',
        'saw-joined',
        'saw-nothing',
        'saw-other',
        'found',
        'identified',
        'not-identified',
    ];

    public function __construct(
        public float $at,
        public string $kind,
        public string $device,
        public string $text = '',
    ) {}
}
