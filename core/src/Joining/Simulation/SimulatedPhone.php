<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Simulation;

/** The phone in the hand: on the site's network or on another, and the one that stays or one that leaves. */
final class SimulatedPhone extends SimulatedDevice
{
    private bool $internet = true;

    /** @var array<string, array{float, float}> searches of its apps by way of control */
    private array $searches = [];

    public function tap(string $key, string $given, float $at): void
    {
        $words = explode(' ', $given);
        if ($key === 'search') {
            $this->searches[$words[0]] = [$at, $at + (float) ($words[1] ?? 60)];
        }
        if ($key === 'end') {
            unset($this->searches[$given]);
        }
    }

    public function opens(string $way, float $at): ?array
    {
        $search = $this->searches[$way] ?? null;

        if ($search !== null && $at <= $search[1] + 1e-9) {
            return $search;
        }

        return null;
    }

    public function put(string $kind, string $text, float $at): void
    {
        if (str_starts_with($text, 'internet ')) {
            $this->internet = $text === 'internet on';
        }
    }

    /** Whether the site has a line to outside. */
    public function hasInternet(): bool
    {
        return $this->internet;
    }

    public function onNetwork(): bool
    {
        return !$this->site->has('other-network', $this->unit->id);
    }

    public function stays(): bool
    {
        return !$this->site->has('phone-leaves', $this->unit->id);
    }

    public function reaches(SimulatedLight $light, string $meant, int $zone): bool
    {
        return $light->unit->id === $meant && $light->answersPhone();
    }

    public function says(string $what): bool
    {
        return match ($what) {
            'network' => $this->onNetwork(),
            'stays' => $this->stays(),
            default => false,
        };
    }
}
