<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Simulation;

use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\Observation;

/** Presses a control and reads the loads: what counts as working is measured, never believed. */
final readonly class Acceptance
{
    /**
     * How one control works one light: on, off, 10 %, 80 %, and no other light with it.
     *
     * @return Observation the first that is not as it should be
     */
    public static function for(SimulatedSite $site, ControlledLight $want): Observation
    {
        $meant = self::zone($site, $want);
        foreach (LightCommand::LEVELS as $level) {
            $command = new LightCommand($level);
            $others = [];
            $heard = false;
            foreach (self::lights($site) as $id => $light) {
                if (
                    !$site->device($want->control)->reaches($light, $want->light, $want->zone) ||
                    !$light->obey($command)
                ) {
                    continue;
                }
                $heard = $heard || $id === $want->light;
                if (!in_array($id, $meant, true)) {
                    $others[] = $id;
                }
            }
            if ($others !== []) {
                return Observation::Elsewhere;
            }
            $looks = $heard ? self::lights($site)[$want->light]->looks($command) : Observation::Nothing;
            if ($looks !== Observation::Expected) {
                return $looks;
            }
        }

        return Observation::Expected;
    }

    /** @return array<string, Observation> by the want's key */
    public static function all(SimulatedSite $site): array
    {
        $seen = [];
        foreach ($site->roster->wants as $want) {
            $seen[$want->key()] = self::for($site, $want);
        }

        return $seen;
    }

    /** @return array<string, bool> which light hears which control, by control and light */
    public static function heard(SimulatedSite $site): array
    {
        $lights = self::lights($site);
        $heard = [];
        foreach ($site->roster->wants as $want) {
            $heard[$want->key()] =
                isset($lights[$want->light]) &&
                $site->device($want->control)->reaches($lights[$want->light], $want->light, $want->zone);
        }

        return $heard;
    }

    /** Whether every control works every light that it is to work. */
    public static function whole(SimulatedSite $site): bool
    {
        return array_filter(self::all($site), static fn(Observation $s): bool => $s !== Observation::Expected) === [];
    }

    /** @return list<string> lights that are to answer together with the one that is meant */
    private static function zone(SimulatedSite $site, ControlledLight $want): array
    {
        $lights = [];
        foreach ($site->roster->wantsOf($want->control) as $other) {
            if ($other->light === $want->light || ($want->zone > 0 && $other->zone === $want->zone)) {
                $lights[] = $other->light;
            }
        }

        return $lights;
    }

    /** @return array<string, SimulatedLight> */
    private static function lights(SimulatedSite $site): array
    {
        return array_filter($site->devices(), static fn(SimulatedDevice $d): bool => $d instanceof SimulatedLight);
    }
}
