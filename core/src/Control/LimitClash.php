<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** More is wanted of an app or a remote than it has room for, and what to do. */
final readonly class LimitClash
{
    public const ROOMS = 'rooms';

    public const PRESETS = 'presets';

    /** It lacks the function, regardless of room. */
    public const LACKS = 'lacks';

    public const PHONES = 'phones';

    /**
     * @param  string  $code  one of the above
     * @param  string  $item  hub or piece of kit
     */
    public function __construct(
        public string $code,
        public string $item,
        public string $title,
        public string $detail,
    ) {}
}
