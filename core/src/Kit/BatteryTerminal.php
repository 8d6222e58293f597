<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

/** How a lead is fitted to a battery. Nothing is ever soldered to one. */
enum BatteryTerminal: string
{
    case Posts = 'posts';
    case Tabs = 'tabs';
    case Plug = 'plug';

    /** The work of fitting leads to a battery, by its label. */
    public function work(string $battery): string
    {
        return match ($this) {
            self::Posts => "crimp ring terminals, leads on the posts of {$battery}",
            self::Tabs => "crimp push-on terminals, leads on the tabs of {$battery}",
            self::Plug => "fit a matching plug, lead into the plug of {$battery}",
        };
    }

    public function why(): string
    {
        return match ($this) {
            self::Posts => 'Never clamp bare strands under a nut: they work loose.',
            self::Tabs => 'Insulated push-on terminals only: bare ones short to the case.',
            self::Plug => 'A plug that fits one way only: a cell connected the wrong way round burns.',
        };
    }

    /** Use of the consumable for each pole; null where one plug takes both. */
    public function consumable(): ?string
    {
        return match ($this) {
            self::Posts => 'rings',
            self::Tabs => 'tabs',
            self::Plug => null,
        };
    }

    /** The point of contact in words: on the posts. */
    public function place(): string
    {
        return match ($this) {
            self::Posts => 'on the posts of',
            self::Tabs => 'on the tabs of',
            self::Plug => 'into the plug of',
        };
    }
}
