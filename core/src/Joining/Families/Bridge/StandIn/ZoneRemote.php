<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Bridge\StandIn;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Families\Receiver\StandIn\Receiver;
use EmberDusk\Joining\StandIn\Device;
use EmberDusk\Joining\StandIn\Light;
use EmberDusk\Joining\StandIn\Trap;

/** Simulated 2.4 GHz remote or panel: a zone takes every nearby receiver that was just powered. */
final class ZoneRemote extends Device
{
    private int $zone = 1;

    public function put(string $kind, string $text, float $at): void
    {
        $words = explode(' ', $text);
        if ($kind === Act::SET && $words[0] === 'zone') {
            $this->zone = max(1, min(max(1, $this->unit->zones), (int) ($words[1] ?? 1)));
        }
    }

    protected function gesture(string $name, float $at): void
    {
        if ($name !== 'link') {
            return;
        }
        foreach ($this->site->devices() as $device) {
            $far = $this->site->has('too-far', $this->unit->id) && $this->site->catches(Trap::Distance);
            if ($device instanceof Receiver && !$far) {
                $device->bind($this->unit->id, $this->zone, $at);
            }
        }
        $this->show('linked', $at);
    }

    public function reaches(Light $light, string $meant, int $zone): bool
    {
        return $this->awake() && $light instanceof Receiver && $light->zoneOf($this->unit->id) === $zone;
    }
}
