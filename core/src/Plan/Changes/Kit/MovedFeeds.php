<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Plan\CutMarks;
use EmberDusk\Plan\Feed;

/** Moves feeds onto new cut marks: each keeps its metre, one at the end stays at the end, none shares a pad. */
final readonly class MovedFeeds
{
    /**
     * @param  list<Feed>  $feeds  from the run's start
     * @return array<string, Feed> by id; a feed for which no pad is left is not among them
     */
    public static function feeds(array $feeds, CutMarks $old, CutMarks $new): array
    {
        $taken = [];
        $moved = [];
        foreach ($feeds as $feed) {
            $pad = $feed->pad === $old->lastPad() ? $new->lastPad() : $new->nearest($old->position($feed->pad));
            $pad = self::free($pad, $taken, $new->lastPad());
            if ($pad !== null) {
                $taken[$pad] = true;
                $moved[$feed->id] = new Feed($feed->id, $feed->run, $pad);
            }
        }

        return $moved;
    }

    /** @param  array<int, true>  $taken */
    private static function free(int $pad, array $taken, int $last): ?int
    {
        for ($step = 0; $step <= $last; $step++) {
            foreach ([$pad - $step, $pad + $step] as $try) {
                if ($try >= 0 && $try <= $last && !isset($taken[$try])) {
                    return $try;
                }
            }
        }

        return null;
    }
}
