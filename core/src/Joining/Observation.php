<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** Observation at a step. */
enum Observation: string
{
    case Expected = 'expected';
    case Nothing = 'nothing';

    /** Another pattern than the expected one. */
    case Other = 'other';

    /** Several flashes that were not counted. */
    case Several = 'several';

    /** Another light answered, or one more. */
    case Elsewhere = 'elsewhere';
    case Wrong = 'wrong';
    case Part = 'part';
    case Dim = 'dim';

    public function words(): string
    {
        return match ($this) {
            self::Expected => 'seen as expected',
            self::Nothing => 'nothing seen',
            self::Other => 'another pattern seen',
            self::Several => 'several flashes, not counted',
            self::Elsewhere => 'another light responded',
            self::Wrong => 'wrong colours',
            self::Part => 'a part stays dark',
            self::Dim => 'dull',
        };
    }

    /** Whether hurried eyes take one for the other. */
    public function confusable(self $other): bool
    {
        return in_array($other, $this->alike(), true) || in_array($this, $other->alike(), true);
    }

    /** @return list<self> */
    private function alike(): array
    {
        return match ($this) {
            self::Expected => [self::Nothing, self::Other],
            self::Other => [self::Nothing],
            self::Part => [self::Dim, self::Wrong],
            self::Dim => [self::Nothing],
            default => [],
        };
    }
}
