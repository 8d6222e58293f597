<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Belief;

/** Looks first where one suspect stands out, else where the answer tells most for its seconds. */
final readonly class MostTold implements Chooser
{
    /**
     * The suspect that is best looked at next: the likeliest where one stands out, else the one whose answer tells most for its seconds.
     *
     * @param  array<string, Suspect>  $suspects  those that may still be looked at
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
