<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** Cuts the sections of a measured run into equal parts of lit length. */
final readonly class Slices
{
    /**
     * @param  list<float>  $sections  metres each
     * @param  list<float>  $jumps  metres of lead between them
     * @return array{list<float>, list<float>} sections and jumps of one part, counted from 1
     */
    public static function from(array $sections, array $jumps, int $part, int $parts): array
    {
        if ($parts === 1) {
            return [$sections, $jumps];
        }
        $share = array_sum($sections) / $parts;
        [$from, $to] = [$share * ($part - 1), $share * $part];
        $cut = $leads = [];
        $at = 0.0;
        foreach ($sections as $n => $length) {
            $inside = min($to, $at + $length) - max($from, $at);
            if ($inside > 1e-6) {
                if ($cut !== []) {
                    $leads[] = $jumps[$n - 1];
                }
                $cut[] = round($inside, 4);
            }
            $at += $length;
        }

        return [$cut, $leads];
    }
}
