<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** One light and one way of control. */
final readonly class Cell
{
    /** Pressed on site, and it answered. */
    public const WORKS = 'works';

    public const PLANNED = 'planned';

    /** Possible, not planned. */
    public const OPEN = 'open';

    public const CANNOT = 'cannot';

    /** It is wanted, and there is no room for it. */
    public const CLASHES = 'clashes';

    /**
     * @param  string  $state  one of the above
     * @param  int  $zone  from 1; 0 where there are none
     * @param  string  $why  where it cannot or clashes
     * @param  string  $limited missing functions of this control for the light; empty if none
     * @param  bool  $decided  by hand; else it follows from kit and place
     */
    public function __construct(
        public string $control,
        public string $light,
        public string $state,
        public int $zone = 0,
        public string $why = '',
        public bool $decided = false,
        public string $limited = '',
    ) {}
}
