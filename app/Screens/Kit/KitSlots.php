<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use EmberDusk\Kit\BatteryBlock;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\SurveyedBanks;
use EmberDusk\Survey\TapeNotes;

/** The places in the chain of a run, in the order of the current: where there is a battery its bank, a converter and a switch too. */
final readonly class KitSlots
{
    private const MAINS = ['supply', 'controller', 'cable', 'strip'];

    private const BATTERY = ['bank', 'supply', 'switch', 'controller', 'cable', 'strip'];

    private const LABELS = ['bank' => 'Bank', 'switch' => 'In-line switch'];

    /** @return list<string> */
    public static function for(Plan $plan, Run $run): array
    {
        if (self::battery($plan, $run)) {
            return self::BATTERY;
        }

        return self::MAINS;
    }

    public static function label(Plan $plan, Run $run, string $slot): string
    {
        if ($slot === 'supply' && self::battery($plan, $run)) {
            return 'Converter';
        }

        if ($slot === 'controller' && $plan->strip($run->strip)?->pixels !== null) {
            return 'Pixel board';
        }

        return self::LABELS[$slot] ?? ucfirst($slot);
    }

    /** Whether a run is complete without it. */
    public static function optional(Plan $plan, Run $run, string $slot): bool
    {
        return $slot === 'switch' || ($slot === 'supply' && self::bank($plan, $run) !== null);
    }

    /** The shelf id of the current entry. */
    public static function chosen(Plan $plan, Run $run, string $slot): ?string
    {
        return match ($slot) {
            'strip' => $run->strip,
            'bank' => $plan->supplies[self::bank($plan, $run) ?? '']->kit ?? null,
            'supply' => $plan->block($run->supply) === null ? $plan->supplies[$run->supply ?? '']->kit ?? null : null,
            'switch' => $plan->ways()->firstCable($run)?->switch,
            'controller' => $plan->controllers[$run->controller ?? '']->kit ?? null,
            // The way to the controller has two cores of it.
            default => $plan->ways()->cableTo($plan->ways()->feedsOf($run)[0]->id ?? '')->kit ??
                ($plan->ways()->firstCable($run)->kit ?? null),
        };
    }

    /** @return list<string> kinds of the shelf that go there */
    public static function kinds(Plan $plan, Run $run, string $slot): array
    {
        return match (true) {
            $slot === 'strip' => ['strip', 'pixels'],
            $slot === 'bank' => ['battery'],
            $slot === 'supply' && self::battery($plan, $run) => self::outlets($plan)
                ? ['converter', 'supply']
                : ['converter'],
            $slot === 'controller' && $plan->strip($run->strip)?->pixels !== null => ['board'],
            default => [$slot],
        };
    }

    /** The way back from a converter. */
    public static function straight(Plan $plan, Run $run): ?ShareOption
    {
        $bank = $plan->supplies[$run->supply ?? '']->bank ?? null;

        if ($bank === null) {
            return null;
        }

        return new ShareOption($bank, 'Straight on ' . strtoupper($bank) . ', without a converter');
    }

    /** The bank that feeds a run, through a converter or straight. */
    private static function bank(Plan $plan, Run $run): ?string
    {
        foreach ($plan->ways()->unitsOf($run) as $unit) {
            if ($plan->block($unit) instanceof BatteryBlock) {
                return $unit;
            }
        }

        return null;
    }

    private static function battery(Plan $plan, Run $run): bool
    {
        return self::bank($plan, $run) !== null ||
            $plan->converter($run->supply) !== null ||
            SurveyedBanks::for($plan, $run) !== [];
    }

    private static function outlets(Plan $plan): bool
    {
        return array_filter(
            $plan->places,
            static fn(Place $p): bool => TapeNotes::read($p->notes)->site->outlets !== [],
        ) !== [];
    }
}
