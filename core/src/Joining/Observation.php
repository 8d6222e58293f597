<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** Possible observations at a step. */
final readonly class Observation
{
    public const YES = 'expected';

    public const NOTHING = 'nothing';

    /** Another pattern than the one that was hoped for, or one that was not counted. */
    public const OTHER = 'other';

    public const SEVERAL = 'several';

    /** Another light answered, or one more. */
    public const ELSEWHERE = 'elsewhere';

    public const WRONG = 'wrong';

    public const PART = 'part';

    public const DIM = 'dim';

    public const ALL = [
        self::YES,
        self::NOTHING,
        self::OTHER,
        self::SEVERAL,
        self::ELSEWHERE,
        self::WRONG,
        self::PART,
        self::DIM,
    ];

    /** Observations that are easily confused. */
    private const ALIKE = [
        [self::YES, self::NOTHING],
        [self::YES, self::OTHER],
        [self::OTHER, self::NOTHING],
        [self::PART, self::DIM],
        [self::PART, self::WRONG],
        [self::DIM, self::NOTHING],
    ];

    public static function words(string $seen): string
    {
        return match ($seen) {
            self::YES => 'seen as expected',
            self::NOTHING => 'nothing seen',
            self::OTHER => 'another pattern seen',
            self::SEVERAL => 'several flashes, not counted',
            self::ELSEWHERE => 'another light responded',
            self::WRONG => 'wrong colours',
            self::PART => 'a part stays dark',
            self::DIM => 'dull',
            default => $seen,
        };
    }

    public static function confusable(string $one, string $other): bool
    {
        return in_array([$one, $other], self::ALIKE, true) || in_array([$other, $one], self::ALIKE, true);
    }
}
