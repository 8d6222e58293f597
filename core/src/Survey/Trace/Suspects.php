<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Trace;

/**
 * Possible states of the cables: the leg of each end, and a limited number of faults. A case holds, for each end, the legs whose link gives a tone
 * there, as bits. Cases that no measurement can separate are one.
 */
final readonly class Suspects
{
    /** How likely faults are at all, before anything is measured (engineering judgement, no source). */
    private const SOUND = 0.85;

    /**
     * Cases by the tones at the ends, one character per end, with their weights.
     *
     * @param  list<TracedLeg>  $legs
     * @return array<string, float>
     */
    public static function all(array $legs, int $faults): array
    {
        $n = count($legs);
        $hears = [];
        foreach ($legs as $leg => $of) {
            $hears[] = $of->to === null ? 0 : 1 << $leg;
        }
        $variants = [[$hears, 1.0]];
        $of = [$hears];
        for ($count = 1; $count <= $faults; $count++) {
            $next = [];
            foreach ($of as $base) {
                array_push($next, ...self::faulty($base, $n));
            }
            foreach ($next as $masks) {
                $variants[] = [$masks, (1 - self::SOUND) ** $count / count($next)];
            }
            $of = $next;
        }
        $cases = [];
        foreach (self::orders($n) as $order) {
            foreach ($variants as [$masks, $weight]) {
                $case = '';
                foreach ($order as $leg) {
                    $case .= chr($masks[$leg]);
                }
                $cases[$case] = ($cases[$case] ?? 0.0) + $weight;
            }
        }

        return $cases;
    }

    /**
     * Tones with one more leg broken, or two more joined.
     *
     * @param  list<int>  $hears
     * @return list<list<int>>
     */
    private static function faulty(array $hears, int $n): array
    {
        $variants = [];
        for ($a = 0; $a < $n; $a++) {
            if ($hears[$a] !== 0) {
                $broken = $hears;
                $broken[$a] = 0;
                $variants[] = array_values($broken);
            }
            for ($b = $a + 1; $b < $n; $b++) {
                if (($hears[$a] | $hears[$b]) !== 0 && $hears[$a] !== $hears[$b]) {
                    $joined = $hears;
                    $joined[$a] = $joined[$b] = $hears[$a] | $hears[$b];
                    $variants[] = array_values($joined);
                }
            }
        }

        return $variants;
    }

    /** @return iterable<list<int>> every order of n legs */
    private static function orders(int $n): iterable
    {
        if ($n === 0) {
            yield [];

            return;
        }
        foreach (self::orders($n - 1) as $order) {
            for ($at = 0; $at < $n; $at++) {
                yield [...array_slice($order, 0, $at), $n - 1, ...array_slice($order, $at)];
            }
        }
    }
}
