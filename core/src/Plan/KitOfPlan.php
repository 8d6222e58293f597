<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Kit\BatteryBlock;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Connector;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Converter;
use EmberDusk\Kit\Dimmer;
use EmberDusk\Kit\Entry;
use EmberDusk\Kit\Fixture;
use EmberDusk\Kit\Fuse;
use EmberDusk\Kit\Hub;
use EmberDusk\Kit\InlineSwitch;
use EmberDusk\Kit\Powers;
use EmberDusk\Kit\Strip;
use EmberDusk\Kit\Supply;

/** The frozen copies that a plan's devices, cables and runs are of, each by its kind; null when it is another kind or none. */
trait KitOfPlan
{
    /** @return list<Device> everything that stands somewhere */
    public function devices(): array
    {
        return array_merge(
            ...array_map(array_values(...), [$this->supplies, $this->controllers, $this->hubs, $this->modules]),
        );
    }

    /** @return array<string, Device> units that can be lights of a control, by id: controllers and dimming modules */
    public function lightUnits(): array
    {
        return $this->controllers + $this->modules;
    }

    /** The run of pixels that a light of a scene is, or is a segment of; null for other lights. */
    public function pixelRun(string $light): ?Run
    {
        return $this->runs[$this->segments[$light]->run ?? $light] ?? null;
    }

    /** Way of control of a controller or a dimming module; null where its kit is unknown. */
    public function controlWay(string $unit): ?string
    {
        return $this->controller($unit)->family ?? $this->module($unit)?->family;
    }

    /** @return array<string, true> ways of control of all of them */
    public function controlWays(): array
    {
        $ways = [];
        foreach (array_keys($this->lightUnits()) as $id) {
            $ways[$this->controlWay($id) ?? ''] = true;
        }

        return $ways;
    }

    public function strip(?string $kit): ?Strip
    {
        return $this->entry($kit, Strip::class);
    }

    public function supply(?string $device): ?Supply
    {
        $unit = $this->supplies[$device ?? ''] ?? null;

        return $this->entry($unit?->kit, Powers::class)?->supply($unit->series ?? 1, $unit->parallel ?? 1);
    }

    public function controller(?string $device): ?Controller
    {
        return $this->entry($this->controllers[$device ?? '']->kit ?? null, Controller::class);
    }

    public function hub(?string $device): ?Hub
    {
        return $this->entry($this->hubs[$device ?? '']->kit ?? null, Hub::class);
    }

    public function cable(?string $kit): ?Cable
    {
        return $this->entry($kit, Cable::class);
    }

    public function connector(?string $kit): ?Connector
    {
        return $this->entry($kit, Connector::class);
    }

    public function fuse(?string $kit): ?Fuse
    {
        return $this->entry($kit, Fuse::class);
    }

    public function inlineSwitch(?string $kit): ?InlineSwitch
    {
        return $this->entry($kit, InlineSwitch::class);
    }

    /** The converter that a supply is; null where it is another kind. */
    public function converter(?string $device): ?Converter
    {
        return $this->entry($this->supplies[$device ?? '']->kit ?? null, Converter::class);
    }

    /** The block that a bank is made of. */
    public function block(?string $device): ?BatteryBlock
    {
        return $this->entry($this->supplies[$device ?? '']->kit ?? null, BatteryBlock::class);
    }

    public function fixture(?string $kit): ?Fixture
    {
        return $this->entry($kit, Fixture::class);
    }

    public function module(?string $device): ?Dimmer
    {
        return $this->entry($this->modules[$device ?? '']->kit ?? null, Dimmer::class);
    }

    /**
     * @template T of Entry
     *
     * @param  class-string<T>  $kind
     * @return T|null
     */
    private function entry(?string $kit, string $kind): ?Entry
    {
        $entry = $this->kit[$kit ?? '']->entry ?? null;
        if ($entry instanceof $kind) {
            return $entry;
        }

        return null;
    }
}
