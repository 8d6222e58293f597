<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** The steps of a run in which all goes well, as the guide gives them. */
final readonly class Order
{
    /** @return list<array{where: string, title: string, why: string}> */
    public static function of(Kit $kit): array
    {
        $steps = [];
        $log = Rehearsal::run($kit, 1);
        $before = null;
        // The guide asked before each line of the log gives that line's step; presses of one gesture give one.
        foreach ($log as $n => $event) {
            $step = $kit->family->next($kit, array_slice($log, 0, $n), $event->at);
            if ($step->title !== $before) {
                $steps[] = ['where' => $step->where, 'title' => $step->title, 'why' => $step->why];
                $before = $step->title;
            }
        }

        return $steps;
    }
}
