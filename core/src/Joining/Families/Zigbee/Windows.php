<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Zigbee;

use EmberDusk\Joining\Event;
use EmberDusk\Joining\Kit;

/** The stretches of time in which something was open, as the log and the leaflets tell. */
final readonly class Windows
{
    /**
     * The hub's searches; one started again while it runs goes on without a break.
     *
     * @param  list<Event>  $log
     * @return list<array{float, float}> from, to
     */
    public static function searches(Kit $kit, array $log): array
    {
        $windows = [];
        foreach ($log as $event) {
            if ($event->kind !== 'search') {
                continue;
            }
            $last = count($windows) - 1;
            if ($last >= 0 && $event->at < $windows[$last][1]) {
                $windows[$last][1] = $event->at + $kit->hub->search;
            } else {
                $windows[] = [$event->at, $event->at + $kit->hub->search];
            }
        }

        return $windows;
    }

    /**
     * Seconds of the longest single overlap with a window.
     *
     * @param  list<array{float, float}>  $windows
     */
    public static function overlap(array $windows, float $from, float $to): float
    {
        return max(
            0.0,
            ...array_map(static fn(array $w): float => min($to, $w[1]) - max($from, $w[0]), $windows ?: [[0.0, 0.0]]),
        );
    }

    /**
     * A controller's listening after each whole reset gesture, cut short where it was seen to join or switched off.
     *
     * @param  list<Event>  $log
     * @return list<array{float, float}>
     */
    public static function listening(Kit $kit, string $device, array $log): array
    {
        $windows = [];
        $profile = $kit->controllers[$device];
        $presses = [];
        foreach ($log as $event) {
            if ($event->device !== $device) {
                continue;
            }
            if ($event->kind === 'press') {
                $presses[] = $event->at;
                if (Gesture::isWhole($presses, $profile)) {
                    $windows[] = [$event->at, $event->at + $profile->listens];
                    $presses = [];
                }
            } elseif (in_array($event->kind, ['saw-joined', 'found', 'power-off'], true) && $windows !== []) {
                $last = count($windows) - 1;
                $windows[$last][1] = max($windows[$last][0], min($windows[$last][1], $event->at));
            }
        }

        return $windows;
    }
}
