<?php

declare(strict_types=1);

namespace App\Screens;

use EmberDusk\Job\JobState;
use EmberDusk\Parts\Mark;
use EmberDusk\Parts\Part;
use EmberDusk\Schedule\Step;
use EmberDusk\Values\Finding;

/** The stages of a job and how far each is: unlit, glowing (open points), lit (done). */
final readonly class Stages
{
    /** Number (its key on the keyboard) and name of every stage that there is. */
    public const ALL = [
        'survey' => [1, 'Survey'],
        'kit' => [2, 'Kit'],
        'wire' => [3, 'Wire'],
        'parts' => [4, 'Parts'],
        'build' => [5, 'Build'],
        'join' => [7, 'Join'],
        'handover' => [9, 'Hand over'],
    ];

    /**
     * @param  list<Finding>  $findings
     * @return list<array{id: string, number: int, name: string, state: string, open: int}>
     */
    public static function of(JobState $state, array $findings): array
    {
        $plan = $state->plan;
        $begun = [
            'survey' => array_filter($plan->places, static fn($p): bool => trim($p->notes) !== '') !== [],
            'kit' => $plan->kit !== [],
            'wire' => $plan->cables !== [],
            'parts' => array_filter($state->marks, static fn(Mark $m): bool => $m->state !== '') !== [],
            'build' => $state->ticks !== [],
            'join' => $state->joined !== [],
        ];
        $stages = [];
        $allLit = true;
        foreach (self::ALL as $id => [$number, $name]) {
            $open =
                count(array_filter($findings, static fn(Finding $f): bool => $f->place->stage === $id)) +
                match (true) {
                    $id === 'parts' && $begun[$id] => count(
                        array_filter(
                            $state->schedule()->parts->parts,
                            static fn(Part $p): bool => $p->paid() > 0 && $state->schedule()->mark($p)->missing(),
                        ),
                    ),
                    $id === 'build' && $begun[$id] => count(
                        array_filter(
                            $state->schedule()->steps,
                            static fn(Step $s): bool => !isset($state->ticks[$s->id]),
                        ),
                    ),
                    default => 0,
                };
            $lamp = match (true) {
                $id === 'handover' => $allLit ? 'lit' : 'unlit',
                !$begun[$id] => 'unlit',
                $open > 0 => 'glowing',
                default => 'lit',
            };
            // Who keeps no list of parts and ticks no steps may hand over all the same.
            $allLit = $allLit && ($lamp === 'lit' || ($lamp === 'unlit' && in_array($id, ['parts', 'build'], true)));
            $stages[] = ['id' => $id, 'number' => $number, 'name' => $name, 'state' => $lamp, 'open' => $open];
        }

        return $stages;
    }
}
