<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** Power source of a device; all cautions follow from it. */
enum Source: string
{
    case Mains = 'mains';

    /** A bank of the job, straight or through a converter. */
    case Battery = 'battery';

    /** An outlet or a battery that is live with the key only. */
    case Vehicle = 'vehicle';

    /** Its own cell, as in a remote. */
    case Cell = 'cell';

    /** Caution before touching its terminals; empty for a cell. */
    public function isolate(): string
    {
        return match ($this) {
            self::Mains
                => 'Mains to the supply: isolate before you touch terminals. Mains wiring is for a licensed person; local rules decide.',
            self::Battery => 'Isolate the bank before you touch terminals, and cover its posts: it can short and burn.',
            self::Vehicle => 'Key off and its fuse out before you touch terminals.',
            self::Cell => '',
        };
    }

    /** Caution before a lead is moved. */
    public function off(): string
    {
        return match ($this) {
            self::Mains
                => 'Switch the supply off before you move a lead. Mains wiring is for a licensed person; local rules decide.',
            self::Battery => 'Isolate the bank before a lead is moved, and cover its posts.',
            self::Vehicle => 'Key off before a lead is moved.',
            self::Cell => '',
        };
    }

    /** Step to switch the power of all its loads off and on. */
    public function cycle(): string
    {
        return match ($this) {
            self::Mains => 'Switch the mains of the whole site off, wait ten seconds, switch it on',
            self::Battery => 'Switch the battery off at its switch or fuse, wait ten seconds, switch it on',
            self::Vehicle => 'Turn the key off, wait ten seconds, turn it on',
            self::Cell => 'Take the cell out, wait ten seconds, put it in',
        };
    }

    /** Caution at that step. */
    public function cycleCaution(): string
    {
        return match ($this) {
            self::Mains
                => 'Ask before you do: clocks, machines and other people depend on it. Work on mains wiring is for a licensed person.',
            self::Battery => 'Ask before you do: pumps, alarms and charts may depend on it. Cover the posts.',
            self::Vehicle => 'Only while it is parked.',
            self::Cell => '',
        };
    }

    /** Such as "after mains off and on". */
    public function cycled(): string
    {
        return match ($this) {
            self::Mains => 'after mains off and on',
            self::Battery => 'after the battery off and on',
            self::Vehicle => 'after the key off and on',
            self::Cell => 'after its cell out and in',
        };
    }
}
