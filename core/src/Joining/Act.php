<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** Something that hands do: a gesture of a device, its power, a key of an app, a remote brought near. */
final readonly class Act
{
    public const ON = 'power-on';

    public const OFF = 'power-off';

    /** One press of a key; the text is the key. */
    public const PRESS = 'press';

    /** A key held; the text is the key and how many seconds. */
    public const HOLD = 'hold';

    /** A remote brought to something, or a controller to a panel; the text is what, and the metres; empty: back in its place. */
    public const NEAR = 'near';

    /** A key of the app of a device; the text is the key and its input. */
    public const TAP = 'tap';

    /** Something set at a device by hand. */
    public const SET = 'set';

    /** A light used by a control as a test; the text is the light, the zone and the level. */
    public const TRY = 'try';

    /** A complete gesture of the instructions; the text is its name, then the zone. It splits into presses, holds and power. */
    public const GESTURE = 'gesture';

    /** Acts of raw input. */
    public const HANDS = [self::ON, self::OFF, self::PRESS, self::HOLD, self::NEAR, self::TAP, self::SET, self::TRY];

    public function __construct(public string $kind, public string $device, public string $text = '') {}
}
