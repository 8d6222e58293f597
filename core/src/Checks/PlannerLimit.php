<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

/** Limits that bind the planner, in the order in which a clash names them. */
enum PlannerLimit: string
{
    case Headroom = 'headroom';
    case Controller = 'controller';
    case Evenness = 'evenness';
    case Seam = 'seam';
    case Drop = 'drop';
    case Cable = 'cable';
    case Cores = 'cores';
    case Rail = 'rail';
    case Bank = 'bank';

    /** A check that stops, of which the planner decides nothing. */
    case Other = 'other';

    public function words(): string
    {
        return match ($this) {
            self::Headroom => 'the supply’s headroom',
            self::Controller => 'the controller’s amps',
            self::Evenness => 'evenness',
            self::Seam => 'the seam',
            self::Drop => 'voltage drop',
            self::Cable => 'cable ampacity',
            self::Cores => 'the cores of the cables',
            self::Rail => 'rail rating',
            self::Bank => 'the battery’s volts on charge',
            self::Other => 'another check',
        };
    }
}
