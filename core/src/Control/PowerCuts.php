<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Plan;
use EmberDusk\Survey\WallNotes;

/** Lights with a supply that is switched by hand, and the switch: a wall switch, a switch in its cable, a vehicle's key. */
final readonly class PowerCuts
{
    public function __construct(private Plan $plan) {}

    /**
     * @param  array<string, Unit>  $lights  by id
     * @return array<string, string> by the light's id in words
     */
    public function for(array $lights): array
    {
        $cuts = [];
        foreach ($lights as $id => $light) {
            $supply = $light->switch;
            $cable = $this->plan->ways()->cableTo($light->item) ?? $this->plan->ways()->cableTo($supply);
            $by = $this->outlet($supply) ?? ($cable?->switch === null ? null : 'the switch in its cable');
            if ($by !== null) {
                $cuts += [$id => $by];
            }
        }

        return $cuts;
    }

    private function outlet(string $supply): ?string
    {
        if ($this->plan->power()->surveyed($supply)?->keyed === true) {
            return 'the key';
        }
        $stands = $this->plan->supplies[$supply]->stands ?? null;
        if ($stands === null) {
            return null;
        }
        foreach (WallNotes::read($this->plan->places[$stands->place]->notes ?? '')->site->outlets as $outlet) {
            if ($outlet->spot->name === $stands->spot && ($outlet->switched || $outlet->keyed)) {
                if ($outlet->switched) {
                    return "the wall switch before {$outlet->spot->name}";
                }

                return 'the key';
            }
        }

        return null;
    }
}
