<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Practice;

use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\EventWords;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\Simulation\Window;

/**
 * Score of a lesson: working controls, needless resets and missed windows compared with the guide on the same simulated devices, and the time.
 */
final readonly class Score
{
    /**
     * @param  list<ControlledLight>  $unmet  what does not work
     * @param  array<string, string>  $misnamed  wrong names, by light
     * @param  int  $wanted  controls by lights
     * @param  int  $resets more than needed
     * @param  int  $missed missed windows, more than needed
     * @param  int  $guesses  lines of an app named without being switched first
     * @param  int  $useless  rows of presses that are no gesture of the instructions
     * @param  float  $seconds  that it took
     * @param  float  $guide  seconds that the guide's own hands take
     */
    private function __construct(
        public array $unmet,
        public array $misnamed,
        public int $wanted,
        public int $resets,
        public int $missed,
        public int $guesses,
        public int $useless,
        public float $seconds,
        public float $guide,
    ) {}

    public static function for(Attempt $attempt): self
    {
        $site = $attempt->site();
        $guided = Rehearsal::run($attempt->lesson->roster, $attempt->lesson->seed, $attempt->lesson->flaws);
        $par = (new Attempt($attempt->lesson, $guided->run->log(), $guided->seconds))->site();

        return new self(
            unmet: Attempt::unmet($site),
            misnamed: $attempt->misnamed($site),
            wanted: count($attempt->lesson->roster->wants),
            resets: self::beyond($site, $par, self::resets(...)),
            missed: self::beyond($site, $par, static fn(SimulatedDevice $d, float $by): int => self::ranOut($d, $by)),
            guesses: $attempt->guesses(),
            useless: MiscountedPresses::useless($attempt),
            seconds: $attempt->until,
            guide: $guided->seconds,
        );
    }

    /** @param  callable(SimulatedDevice, float): int  $count */
    private static function beyond(SimulatedSite $site, SimulatedSite $par, callable $count): int
    {
        $beyond = 0;
        foreach ($site->devices() as $id => $device) {
            $beyond += max(0, $count($device, $site->now()) - $count($par->device($id), $par->now()));
        }

        return $beyond;
    }

    private static function resets(SimulatedDevice $device): int
    {
        return count(array_filter($device->took(), static fn(array $took): bool => $took[1] === 'reset'));
    }

    private static function ranOut(SimulatedDevice $device, float $by): int
    {
        return count(array_filter($device->windows(), static fn(Window $w): bool => $w->meant && $w->ranOut($by)));
    }

    /** Every control works, and every name is its light's own. */
    public function passed(): bool
    {
        return $this->unmet === [] && $this->misnamed === [];
    }

    /** Passed, with nothing reset or missed that need not have been, nothing guessed, and no key pressed in vain. */
    public function clean(): bool
    {
        return $this->passed() && $this->resets + $this->missed + $this->guesses + $this->useless === 0;
    }

    /** @return list<string> failures, as text */
    public function lines(Attempt $attempt): array
    {
        $pressed = Attempt::pressed($attempt->site());
        $lines = [];
        foreach ($this->unmet as $want) {
            $lines[] = sprintf(
                '%s by %s%s: %s.',
                $attempt->lesson->roster->unit($want->light)->called(),
                $want->control === Roster::PHONE
                    ? 'the phone'
                    : $attempt->lesson->roster->unit($want->control)->label(),
                EventWords::zone($want->zone),
                ($pressed[$want->key()] ?? Observation::Nothing)->words(),
            );
        }
        foreach ($this->misnamed as $light => $name) {
            $called = $attempt->lesson->roster->unit($light)->called();
            $lines[] =
                $name === '' ? "{$called} has no name in the app yet." : "{$called} is named “{$name}” in the app.";
        }

        return $lines;
    }
}
