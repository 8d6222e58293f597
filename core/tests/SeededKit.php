<?php

declare(strict_types=1);

namespace EmberDusk\Tests;

/** Entries of the demo shelf that fit together in a seeded job. */
final class SeededKit
{
    public const STRIPS = [
        'strip-single-12',
        'strip-single-24',
        'strip-single-24-bright',
        'strip-single-24-copper',
        'strip-tunable-12',
        'strip-tunable-24',
        'strip-rgb-12',
        'strip-rgb-24',
        'strip-rgbw-12',
        'strip-rgbw-24',
        'pixels-5-rgb',
        'pixels-5-rgbw',
        'pixels-12-rgb',
        'pixels-12-clocked',
        'pixels-24-rgb',
    ];

    public const SUPPLIES = [
        5 => ['supply-5-100', 'supply-5-300'],
        12 => ['supply-12-60', 'supply-12-100', 'supply-12-240', 'supply-12-360', 'battery-12'],
        24 => ['supply-24-60', 'supply-24-100', 'supply-24-240', 'supply-24-480', 'supply-24-600'],
    ];

    public const CONTROLLERS = [
        'controller-zigbee-1',
        'controller-zigbee-2',
        'controller-zigbee-2-small',
        'controller-zigbee-4',
        'controller-zigbee-5',
        'controller-bluetooth-2',
        'controller-bluetooth-4',
        'controller-mesh-4',
        'controller-rf-4',
        'controller-wifi-4',
    ];

    public const CABLES = [
        2 => ['cable-2x075', 'cable-2x1', 'cable-2x15', 'cable-2x25', 'cable-2x18awg'],
        3 => ['cable-3x075', 'cable-3x1', 'cable-3x15', 'cable-3x25'],
        4 => ['cable-4x05', 'cable-4x075', 'cable-4x15'],
        5 => ['cable-5x05', 'cable-5x075', 'cable-5x15'],
        6 => ['cable-6x05', 'cable-6x15'],
    ];
}
