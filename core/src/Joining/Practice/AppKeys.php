<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Practice;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\EventWords;
use EmberDusk\Joining\Guide\GuideSteps;
use EmberDusk\Joining\Order\Order;
use EmberDusk\Joining\Roster;

/** Keys of the apps in a kit: every key that a step can tap. Keys for naming and switching are beside the list entries. */
final readonly class AppKeys
{
    /** @return list<array{Act, string}> each with its label */
    public static function for(Roster $roster): array
    {
        $keys = [];
        $steps = new GuideSteps($roster);
        foreach (Order::for($roster) as $task) {
            if ($task->search !== null) {
                $way = $roster->unit($task->device)->way;
                $key = $task->search === Roster::PHONE ? "search {$way} 60" : 'search';
                $keys["{$task->search} {$key}"] = new Act(Act::TAP, $task->search, $key);
            }
            foreach ($steps->for($task) as $step) {
                foreach ($step->acts as $act) {
                    if ($act->kind === Act::TAP && !str_contains($act->text, 'ENTRY')) {
                        $keys["{$act->device} {$act->text}"] = $act;
                    }
                }
            }
        }
        ksort($keys, SORT_NATURAL);

        return array_values(array_map(static fn(Act $a): array => [$a, EventWords::key($a)], $keys));
    }
}
