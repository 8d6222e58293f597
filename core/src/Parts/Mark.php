<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/** How far a part is: nothing yet, ordered with the day that it comes, here, packed. */
final readonly class Mark
{
    public const STATES = ['' => 'to buy', 'ordered' => 'ordered', 'here' => 'in hand', 'packed' => 'packed'];

    /** @param  string|null  $arrives  YYYY-MM-DD */
    public function __construct(public string $state = '', public ?string $arrives = null) {}

    public function missing(): bool
    {
        return $this->state === '' || $this->state === 'ordered';
    }

    /** Ordered for a day that is over. */
    public function late(string $today): bool
    {
        return $this->state === 'ordered' && $this->arrives !== null && $this->arrives < $today;
    }
}
