<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;

/** A hall with everything that a bench has to distinguish: 7.20 m of RGBW, 96 four-channel pixels in 52 and 44, a cove, a rail fed at both ends. */
final readonly class BenchJob
{
    /** Its faults: the switch, two swapped leads, one loose; a data joint and a limit; a joint; a dead second feed. */
    public const FAULTS = ['leads@bar:1243:1:tunable', 'data@star:2', 'limit@star', 'joint@%s:to:1', 'feed@%s'];

    public static function plan(): Plan
    {
        $plan = new Plan('Hall', '', places: ['hall' => new Place('hall', 'Hall', '')]);
        $plan = Demo::with($plan, [
            'kind' => 'ReviseNotes',
            'place' => 'hall',
            'text' =>
                "dry\nstart end\n7.20 bar\nright 0.853 star, gap 0.05 at 0.4345 lead\nright 6.00 cove\nright 8.00 rail\noutlet P1 corner",
        ]);
        foreach (
            [
                'bar' => ['strip-rgbw-24', 'supply-24-240', 'controller-zigbee-4', 'cable-5x075'],
                'star' => ['pixels-5-rgbw', 'supply-5-100', 'cable-2x15'],
                'cove' => ['strip-tunable-24', 'supply-24-240', 'controller-zigbee-2', 'cable-3x15'],
                'rail' => ['strip-single-24', 'supply-24-240', 'controller-zigbee-1', 'cable-2x15'],
            ]
            as $run => $kit
        ) {
            foreach ($kit as $id) {
                $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $id]);
            }
        }

        return Demo::with($plan, ['kind' => 'FeedPattern', 'run' => 'rail', 'pattern' => 'ends']);
    }

    /** The cable that ends at the last feed of a run. */
    public static function tail(Plan $plan, string $run): string
    {
        return $plan->ways()->cableTo(self::feed($plan, $run))->id ?? '';
    }

    /** The last feed of a run. */
    public static function feed(Plan $plan, string $run): string
    {
        $id = '';
        foreach ($plan->ways()->feedsOf($plan->run($run)) as $feed) {
            $id = $feed->id;
        }

        return $id;
    }

    /** @return list<string> the faults by their names in this plan */
    public static function faults(Plan $plan): array
    {
        return [
            ...array_slice(self::FAULTS, 0, 3),
            sprintf(self::FAULTS[3], self::tail($plan, 'cove')),
            sprintf(self::FAULTS[4], self::feed($plan, 'rail')),
        ];
    }

    public static function file(): string
    {
        return JobFile::write(self::plan());
    }
}
