<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Belief;

/** Checks a clearly likeliest suspect first, else the one with the most information per second. */
final readonly class MostTold implements Chooser
{
    /**
     * The next suspect to check: the likeliest if it stands out, else the one with the most information per second.
     *
     * @param  array<string, Suspect>  $suspects suspects not yet checked
     */
    public function next(Belief $belief, array $suspects): ?Suspect
    {
        $best = null;
        $most = 0.0;
        foreach ($suspects as $key => $suspect) {
            $share = min(1.0, $belief->suspects[$key] ?? 0.0);
            $worth = $share >= 0.8 ? 1e6 * $share : self::bits($share) / $suspect->seconds;
            if ($best === null || $worth > $most) {
                [$best, $most] = [$suspect, $worth];
            }
        }

        return $best;
    }

    /** Bits that a yes or no of that share tells. */
    private static function bits(float $p): float
    {
        if ($p <= 0.0 || $p >= 1.0) {
            return 0.0;
        }

        return -$p * log($p, 2) - (1 - $p) * log(1 - $p, 2);
    }
}
