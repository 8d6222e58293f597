<?php

declare(strict_types=1);

namespace App\People;

/** Role of a person in a crew, with its permissions. */
enum Role: string
{
    case Owner = 'owner';
    case Installer = 'installer';
    case Apprentice = 'apprentice';

    /** Of one job: an electrician, or a person of another firm. */
    case Guest = 'guest';

    public function words(): string
    {
        return match ($this) {
            self::Owner => 'Owner: everything, and who belongs to the crew',
            self::Installer => 'Installer: everything in jobs and on the shelf',
            self::Apprentice
                => 'Apprentice: reads, rehearses, ticks and logs; no prices, no changes of plans, no deletions',
            self::Guest => 'Guest of one job: reads, rehearses, ticks and logs there; no prices, no other jobs',
        };
    }

    public function may(Permission $what): bool
    {
        return match ($what) {
            Permission::Read, Permission::Record => true,
            Permission::Plan, Permission::Prices => in_array($this, [self::Owner, self::Installer], true),
            Permission::People => $this === self::Owner,
        };
    }
}
