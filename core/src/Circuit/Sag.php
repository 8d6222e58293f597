<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Circuit\Loads\GroupLoad;
use EmberDusk\Kit\Channel;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\CutMarks;

/**
 * Rough evenness of a feed pattern: the sag of a ladder with constant current between its feeds, r j d²/8 between two and r j d²/2 beyond the last
 * (closed forms, as in the tests), put through the group's own curve. It only orders the solves; no proposal relies on it.
 */
final readonly class Sag
{
    /** Rounds of letting the sag lower the current that makes it. */
    private const ROUNDS = 4;

    /**
     * Metres of strip that each feed carries: half of the way to its neighbours, all beyond the last.
     *
     * @param  list<int>  $pads
     * @return array<int, float> by the feed's number in the list
     */
    public static function shares(CutMarks $marks, array $pads, bool $halves): array
    {
        if ($halves) {
            return [$marks->length() / 2, $marks->length() / 2];
        }
        $at = array_map(static fn(int $pad): float => $marks->position($pad), $pads);
        asort($at);
        $numbers = array_keys($at);
        $shares = [];
        foreach ($numbers as $k => $n) {
            $from = $k !== 0 ? ($at[$numbers[$k - 1]] + $at[$n]) / 2 : 0.0;
            $to = $k === count($numbers) - 1 ? $marks->length() : ($at[$numbers[$k + 1]] + $at[$n]) / 2;
            $shares[$n] = $to - $from;
        }

        return $shares;
    }

    /** @param  list<int>  $pads */
    public static function evenness(Strip $strip, CutMarks $marks, array $pads, bool $halves): float
    {
        $length = $marks->length();
        $square = 0.0;
        if ($halves) {
            $square = ($length / 2) ** 2 / 2;
        } else {
            $at = array_map(static fn(int $pad): float => $marks->position($pad), $pads);
            sort($at);
            $square = max($at[0], $length - $at[count($at) - 1]) ** 2 / 2;
            for ($n = 1; $n < count($at); $n++) {
                $square = max($square, ($at[$n] - $at[$n - 1]) ** 2 / 8);
            }
        }
        $loads = array_map(
            static fn(Channel $channel): Load => GroupLoad::for($strip, $channel, 1.0),
            $strip->channels,
        );
        $each = array_map(static fn(Load $l): float => $l->evaluate([$strip->volts])[0][0], $loads);
        $least = 1.0;
        foreach ($loads as $n => $load) {
            $sag = (($strip->plusRail * array_sum($each) + $strip->returnRail * $each[$n]) / $strip->pitch) * $square;
            $ratio = 1.0;
            for ($round = 0; $round < self::ROUNDS && $each[$n] > 0; $round++) {
                $ratio = $load->evaluate([$strip->volts - ($sag * (1 + 2 * $ratio)) / 3])[0][0] / $each[$n];
            }
            $least = min($least, $ratio);
        }

        return $least;
    }
}
