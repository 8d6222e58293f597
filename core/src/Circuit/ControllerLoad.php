<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Kit\Controller;
use EmberDusk\Plan\Plan;

/** Load of a controller: the label load of all its strips, per channel, or the current where that is higher. Amps in the on-time. */
final readonly class ControllerLoad
{
    /** @param  array<int, float>  $channels  amps by channel, from 1 */
    private function __construct(
        public string $id,
        public ?Controller $controller,
        public array $channels,
        public float $amps,
    ) {}

    public static function for(Plan $plan, string $id, ?ControllerResult $flows = null): self
    {
        $channels = [];
        foreach ($plan->runs as $run) {
            $strip = $plan->strip($run->strip);
            if ($run->controller === $id && $strip?->switched() === true) {
                foreach ($strip->channels as $n => $channel) {
                    $channels[$n + 1] =
                        ($channels[$n + 1] ?? 0.0) +
                        ($channel->wattsPerMetre * $plan->of($run)->litLength()) / $strip->volts;
                }
            }
        }
        $amps = max(array_sum($channels), $flows->amps ?? 0.0);
        foreach ($flows->channelAmps ?? [] as $n => $flow) {
            $channels[$n] = max($channels[$n] ?? 0.0, $flow);
        }

        return new self($id, $plan->controller($id), $channels, $amps);
    }

    /** The same load on another one. */
    public function on(Controller $controller): self
    {
        return new self($this->id, $controller, $this->channels, $this->amps);
    }

    /** Amps of the fullest channel. */
    public function fullest(): float
    {
        return max([0.0, ...$this->channels]);
    }
}
