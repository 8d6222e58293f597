<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/** Reads from a solved network what supplies give and what controllers carry. */
final readonly class DeviceReadings
{
    public function __construct(private Island $island, private Network $network, private Solution $solution) {}

    /** @return array<string, SupplyResult> */
    public function supplies(): array
    {
        $supplies = [];
        foreach ($this->island->supplies as $id) {
            $source = self::source($this->network, $id);
            $amps = $this->solution->delivered($source);
            $supplies[$id] = new SupplyResult($id, $this->solution->across($source), $amps, $amps);
        }

        return $supplies;
    }

    /** @return array<string, ControllerResult> */
    public function controllers(): array
    {
        $common = $channels = [];
        foreach ($this->network->resistors as $r) {
            $of = substr($r->name, (int) strrpos($r->name, '_') + 1);
            if ($of === 'com') {
                $common[$r->part] = abs($this->solution->amps($r));
            } elseif (ctype_digit($of)) {
                $channels[$r->part][(int) $of] = abs($this->solution->amps($r));
            }
        }
        $controllers = [];
        foreach ($this->island->controllers as $id) {
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
