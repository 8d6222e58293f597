<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/** Currents through a controller while every commanded channel conducts, from all connected parts: the sum, and each channel. */
final readonly class ControllerResult
{
    /** @param  array<int, float>  $channelAmps  by channel, from 1 */
    public function __construct(public string $id, public float $amps, public array $channelAmps) {}

    public function fullest(): float
    {
        return max([0.0, ...$this->channelAmps]);
    }

    /** The most of both. */
    public function most(self $other): self
    {
        $channels = $this->channelAmps;
        foreach ($other->channelAmps as $n => $amps) {
            $channels[$n] = max($channels[$n] ?? 0.0, $amps);
        }

        return new self($this->id, max($this->amps, $other->amps), $channels);
    }
}
