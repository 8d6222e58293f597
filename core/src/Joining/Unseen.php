<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** Real devices on a site: nothing of them is known here but what somebody says in the log. */
final readonly class Unseen implements StandIns
{
    /** @param  array<string, string>  $list  what was said to stand in the app, by device */
    public function __construct(private array $list) {}

    public function isJoined(string $device): bool
    {
        return false;
    }

    public function isPowered(string $device): bool
    {
        return false;
    }

    public function isLit(string $device): bool
    {
        return false;
    }

    public function signal(string $device): ?array
    {
        return null;
    }

    public function list(): array
    {
        return $this->list;
    }

    public function nextChange(): ?float
    {
        return null;
    }
}
