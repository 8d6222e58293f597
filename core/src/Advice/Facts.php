<?php

declare(strict_types=1);

namespace EmberDusk\Advice;

use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Entry;
use EmberDusk\Kit\Hub;
use EmberDusk\Kit\Strip;
use EmberDusk\Kit\Supply;

/** The few facts of a shelf entry that a choice is made by. */
final readonly class Facts
{
    /** @return list<string> */
    public static function of(Entry $e): array
    {
        return match (true) {
            $e instanceof Strip => [sprintf('%g V', $e->volts), sprintf('%g W/m', $e->wattsPerMetre()),
                count($e->channels) === 1 ? 'single colour' : 'tunable white', sprintf('cut %g mm', 1000 * $e->pitch)],
            $e instanceof Supply => [sprintf('%g V', $e->volts), sprintf('%g A', $e->ratedAmps), sprintf('%.0f W', $e->ratedWatts())],
            $e instanceof Controller => ["{$e->channels} ch", sprintf('%g A a channel, %g A in all', $e->channelAmps, $e->totalAmps),
                sprintf('%g-%g V', $e->inputLeast, $e->inputMost), sprintf('listens %g s', $e->profile->listens)],
            $e instanceof Cable => [$e->conductor->label(), "{$e->cores} cores", sprintf('%.1f mohm/m', 1000 * $e->conductor->ohmsPerMetre),
                $e->conductor->capacity === null ? 'capacity not known' : sprintf('%g A', $e->conductor->capacity)],
            $e instanceof Hub => [sprintf('searches %g s', $e->profile->search), sprintf('list lags up to %g s', $e->profile->lagMost), "{$e->profile->letters} letters a name"],
            default => [],
        };
    }
}
