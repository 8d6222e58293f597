<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Simulation;

use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\Observation;

/** Presses a control and reads the loads: what counts as working is measured, never believed. */
final readonly class Acceptance
{
    private function __construct(private SimulatedSite $site) {}

    /**
     * How one control works one light: on, off, 10 %, 80 %, and no other light with it.
     *
     * @return Observation the first that is not as it should be
     */
    public static function for(SimulatedSite $site, ControlledLight $want): Observation
    {
        return (new self($site))->shown($want);
    }

    /** @return Observation the first that is not as it should be */
    private function shown(ControlledLight $want): Observation
    {
        $meant = $this->zone($want);
        foreach (LightCommand::LEVELS as $level) {
            $command = new LightCommand($level);
            $others = [];
            $heard = false;
            foreach ($this->lights() as $id => $light) {
                if (
                    !$this->site->device($want->control)->reaches($light, $want->light, $want->zone) ||
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
            $looks = $heard ? $this->lights()[$want->light]->looks($command) : Observation::Nothing;
            if ($looks !== Observation::Expected) {
                return $looks;
            }
        }

        return Observation::Expected;
    }

    /** @return array<string, Observation> by the want's key */
    public static function all(SimulatedSite $site): array
    {
        return (new self($site))->shownAll();
    }

    /** @return array<string, Observation> by the want's key */
    private function shownAll(): array
    {
        $seen = [];
        foreach ($this->site->roster->wants as $want) {
            $seen[$want->key()] = $this->shown($want);
        }

        return $seen;
    }

    /** @return array<string, bool> which light hears which control, by control and light */
    public static function heard(SimulatedSite $site): array
    {
        return (new self($site))->spoken();
    }

    /** @return array<string, bool> which light hears which control, by control and light */
    private function spoken(): array
    {
        $lights = $this->lights();
        $heard = [];
        foreach ($this->site->roster->wants as $want) {
            $heard[$want->key()] =
                isset($lights[$want->light]) &&
                $this->site->device($want->control)->reaches($lights[$want->light], $want->light, $want->zone);
        }

        return $heard;
    }

    /** Whether every control works every light that it is to work. */
    public static function whole(SimulatedSite $site): bool
    {
        return (new self($site))->everything();
    }

    private function everything(): bool
    {
        return array_filter($this->shownAll(), static fn(Observation $s): bool => $s !== Observation::Expected) === [];
    }

    /** @return list<string> lights that are to answer together with the one that is meant */
    private function zone(ControlledLight $want): array
    {
        $lights = [];
        foreach ($this->site->roster->wantsOf($want->control) as $other) {
            if ($other->light === $want->light || ($want->zone > 0 && $other->zone === $want->zone)) {
                $lights[] = $other->light;
            }
        }

        return $lights;
    }

    /** @return array<string, SimulatedLight> */
    private function lights(): array
    {
        return array_filter(
            $this->site->devices(),
            static fn(SimulatedDevice $d): bool => $d instanceof SimulatedLight,
        );
    }
}
