<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/**
 * How this crew works where practitioners disagree. Search first: the window then starts when the hub is already listening. Reset always:
 * it costs seconds. Touch link by its key, the others without power.
 */
final readonly class TimingMethod
{
    public const SEARCH_FIRST = 'search';

    public const RESET_FIRST = 'reset';

    public const EARLY = 'early';

    public const TIMINGS = [self::SEARCH_FIRST, self::RESET_FIRST, self::EARLY];

    /**
     * @param  string  $timing  search then reset; reset then search; reset early, power-cycle one tap before the search
     * @param  bool  $trustsNew  units that are new are not reset
     * @param  bool  $proves  all is tried once more with covers closed, after mains off and on, without internet and hub
     */
    public function __construct(
        public string $timing = self::SEARCH_FIRST,
        public bool $trustsNew = false,
        public bool $proves = true,
    ) {}
}
