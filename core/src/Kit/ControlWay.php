<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

/** Ways in which a light is controlled. */
enum ControlWay: string
{
    case Zigbee = 'zigbee';
    case Bluetooth = 'bluetooth';
    case Mesh = 'mesh';
    case Wifi = 'wifi';
    case Rf = 'rf';

    /** The radio alone, as in a heading. */
    public function word(): string
    {
        return match ($this) {
            self::Zigbee => 'Zigbee',
            self::Bluetooth => 'Bluetooth',
            self::Mesh => 'Bluetooth mesh',
            self::Wifi => 'Wi-Fi',
            self::Rf => '2.4 GHz',
        };
    }

    /** What a light is controlled by, as in an option. */
    public function phrase(): string
    {
        return $this === self::Rf ? '2.4 GHz remote' : $this->word();
    }
}
