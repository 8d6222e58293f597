<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/** Reads from a solved network what supplies give and what controllers carry. */
final readonly class DeviceReadings
{
    /** @return array<string, SupplyResult> */
    public static function supplies(Island $island, Network $network, Solution $solution): array
    {
        $supplies = [];
        foreach ($island->supplies as $id) {
            $source = self::source($network, $id);
            $amps = $solution->delivered($source);
            $supplies[$id] = new SupplyResult($id, $solution->across($source), $amps, $amps);
        }

        return $supplies;
    }

    /** @return array<string, ControllerResult> */
    public static function controllers(Island $island, Network $network, Solution $solution): array
    {
        $common = $channels = [];
        foreach ($network->resistors as $r) {
            $of = substr($r->name, (int) strrpos($r->name, '_') + 1);
            if ($of === 'com') {
                $common[$r->part] = abs($solution->amps($r));
            } elseif (ctype_digit($of)) {
                $channels[$r->part][(int) $of] = abs($solution->amps($r));
            }
        }
        $controllers = [];
        foreach ($island->controllers as $id) {
            $controllers[$id] = new ControllerResult($id, $common[$id] ?? 0.0, $channels[$id] ?? []);
        }

        return $controllers;
    }

    public static function source(Network $network, string $id): SourceCurrent
    {
        foreach ($network->sources as $source) {
            if ($source->name === Wiring::name($id)) {
                return $source;
            }
        }

        return $network->sources[0];
    }
}
