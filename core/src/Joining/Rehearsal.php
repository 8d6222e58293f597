<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Values\NoSolution;
use EmberDusk\Values\Refusal;

/** Works a join run through with a pair of simulated hands that follow the guide. */
final readonly class Rehearsal
{
    /** Seconds from reading a step to doing it. */
    private const REACTION = 2.0;

    private const MOST_STEPS = 300;

    /**
     * @param  bool  $hasty  the hands reset once before any search, as people do
     * @return list<Event> the log
     *
     * @throws Refusal when the hands come to no end
     */
    public static function run(Kit $kit, int $seed, bool $hasty = false): array
    {
        $run = new LiveRun($kit, $seed, []);
        $now = 0.0;
        if ($hasty) {
            foreach ($kit->controllers as $device => $profile) {
                $run->act('power-on', $device, $now);
                $run->act('press', $device, $now += self::REACTION, $profile->presses);
                $now += $profile->listens + self::REACTION;
                break;
            }
        }
        for ($n = 0; $n < self::MOST_STEPS; $n++) {
            $run->settle($now);
            $step = $run->next($now);
            if ($step->kind === 'done') {
                return $run->log();
            }
            $now = self::answer($run, $step, $now);
        }

        throw new NoSolution('The rehearsal comes to no end: see the log of a live run.');
    }

    private static function answer(LiveRun $run, Step $step, float $now): float
    {
        $device = $step->device;
        switch ($step->kind) {
            case 'power':
            case 'search':
            case 'toggle':
                $run->act($step->answers[0], $device, $now + self::REACTION);

                return $now + self::REACTION;
            case 'reset':
                $new = $run->act('press', $device, $now + self::REACTION, $run->kit->controllers[$device]->presses);

                return $new[count($new) - 1]->at;
            case 'look-reset':
                $now += $run->kit->controllers[$device]->resetDone->seconds();
                $run->act('saw-reset', $device, $now);

                return $now;
            case 'look-joined':
                return self::look($run, $step, $now);
            case 'identify':
                $run->act('identified', $device, $now + self::REACTION);

                return $now + self::REACTION;
            case 'name':
                $run->act('named', $device, $now + self::REACTION, text: $run->kit->names[$device]);

                return $now + self::REACTION;
            default:
                return $now + 1.0;
        }
    }

    /** Looks until the strip confirms or the window is over, and says which. */
    private static function look(LiveRun $run, Step $step, float $now): float
    {
        $until = ($step->window[1] ?? $now) + 0.1;
        $joined = $run->site($until)->isJoined($step->device);
        if ($joined) {
            $at = max(
                $now,
                ($run->site($until)->signal($step->device)[0] ?? $now) +
                    $run->kit->controllers[$step->device]->joined->seconds(),
            );
        } else {
            $at = max($now, $until);
        }
        $run->act($joined ? 'saw-joined' : 'saw-nothing', $step->device, $at);

        return $at;
    }
}
