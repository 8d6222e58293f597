<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Parts;

use EmberDusk\Parts\Part;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Steps;
use EmberDusk\Tests\Demo;

trait AssembledPlan
{
    /** A room with one run, described, of a 24 V single-colour strip (marks every 5 cm, reels of 5 m), fed at its start. */
    private static function plan(
        string $lengths,
        string $described,
        string $site = 'dry',
        string $strip = 'strip-single-24',
    ): Plan {
        return Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            [
                'kind' => 'ReviseNotes',
                'place' => 'room',
                'text' => "{$site}\nstart end\n{$lengths}\nrun line{$described}",
            ],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => $strip],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'supply-24-240'],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'controller-zigbee-2'],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'cable-2x15'],
        );
    }

    /**
     * @param  array<string, list<float>>  $offcuts
     * @return array<string, Part>
     */
    private static function parts(Plan $plan, array $offcuts = []): array
    {
        $parts = PartsList::for($plan, Demo::shelf(), $offcuts)->parts;

        return array_combine(array_map(static fn(Part $p): string => $p->key, $parts), $parts);
    }

    /** @return list<string> kinds of the run's steps in the order in which they follow each other */
    private static function steps(Plan $plan): array
    {
        $steps = array_filter(
            Steps::for($plan, PartsList::for($plan, Demo::shelf()), Productivity::from([])),
            static fn(Step $s): bool => str_ends_with($s->id, '-line'),
        );

        return array_values(array_map(static fn(Step $s): string => $s->kind->value, $steps));
    }
}
