<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Survey\WallNotes;

/** Bends of a run, left, right, up or down: rigid lengths end there. */
final readonly class Bends
{
    /** Metres from an end or another bend within which it is none. */
    private const NONE = 0.001;

    public function __construct(private Plan $plan, private Run $run) {}

    /**
     * @return list<non-empty-list<float>> metres of the straight pieces of each section, in order
     */
    public function pieces(): array
    {
        $path = WallNotes::read($this->plan->places[$this->run->place]->notes ?? '')->runs[$this->run->word] ?? null;
        $bends = [];
        $at = 0.0;
        foreach ($path->lengths ?? [] as $n => $length) {
            foreach ($path->bends[$n] ?? [] as $bend) {
                $bends[] = $at + $bend;
            }
            $at += $length;
        }
        // A part begins where the equal parts before it end.
        $from = ($at / $this->run->parts) * ($this->run->part - 1);
        $pieces = [];
        foreach ($this->run->sections as $length) {
            $pieces[] = self::cut($length, array_map(static fn(float $b): float => $b - $from, $bends));
            $from += $length;
        }

        return $pieces;
    }

    /**
     * @param  list<float>  $bends  metres from the section's start, some of them outside
     * @return non-empty-list<float>
     */
    private static function cut(float $length, array $bends): array
    {
        $pieces = [];
        $at = 0.0;
        sort($bends);
        foreach ($bends as $bend) {
            if ($bend > $at + self::NONE && $bend < $length - self::NONE) {
                $pieces[] = round($bend - $at, 4);
                $at = $bend;
            }
        }

        return [...$pieces, round($length - $at, 4)];
    }
}
