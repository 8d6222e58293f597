<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Zigbee\StandIn;

use EmberDusk\Joining\Dice;
use EmberDusk\Kit\Profiles\HubProfile;

/** Stands in for a hub and its phone app: a search of limited length, and a list that lags behind what has joined. */
final class HubWithApp
{
    private ?float $searchFrom = null;

    /** @var array<string, array{float, string}> by device: when the app lists it, and as what */
    private array $listed = [];

    public function __construct(private readonly HubProfile $profile) {}

    public function search(float $at): void
    {
        $this->searchFrom = $at;
    }

    /** When the present search began, if it still runs at that time. */
    public function searchesSince(float $at): ?float
    {
        if ($this->searchFrom !== null && $at <= $this->searchFrom + $this->profile->search + 1e-9) {
            return $this->searchFrom;
        }

        return null;
    }

    public function searchesUntil(): ?float
    {
        if ($this->searchFrom === null) {
            return null;
        }

        return $this->searchFrom + $this->profile->search;
    }

    public function joined(string $device, float $at, Dice $dice): void
    {
        // The app gives the first number that is free.
        $taken = array_column($this->listed, 1);
        for (
            $number = 1;
            in_array($name = str_replace('#', (string) $number, $this->profile->numbering), $taken, true);
            $number++
        );
        $this->listed[$device] = [
            $at + $dice->between($this->profile->lagLeast, $this->profile->lagMost, "lag {$device} " . round($at)),
            $name,
        ];
    }

    public function forget(string $device): void
    {
        unset($this->listed[$device]);
    }

    /** @return array<string, string> by device, what the app's list shows */
    public function listAt(float $at): array
    {
        return array_map(
            static fn(array $l): string => $l[1],
            array_filter($this->listed, static fn(array $l): bool => $l[0] <= $at + 1e-9),
        );
    }

    /** When the list changes next; null when it will not. */
    public function nextListing(float $at): ?float
    {
        $coming = array_filter(array_column($this->listed, 0), static fn(float $t): bool => $t > $at + 1e-9);
        if ($coming === []) {
            return null;
        }

        return min($coming);
    }
}
