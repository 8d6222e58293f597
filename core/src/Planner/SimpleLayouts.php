<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\Cable;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Run;

/** Layouts that hold if anything does: thick cable, the least dear units that carry the load, the plain patterns in turn. */
final readonly class SimpleLayouts
{
    public function __construct(private Tables $tables) {}

    /** @return list<Layout> for a run alone, those with few feeds first */
    public function for(Run $run): array
    {
        $switched = $this->tables->strip($run)->switched();
        $controller = $switched ? $this->tables->controllers([$run], false)[0] ?? null : null;
        $places = array_values(
            array_intersect($this->tables->places([$run], true), $this->tables->places([$run], false)),
        );
        $trunks = array_values(array_filter($this->tables->trunks([$run])));
        usort($trunks, static fn(KitSnapshot $a, KitSnapshot $b): int => self::ohms($a) <=> self::ohms($b));
        if ($places === [] || ($switched && ($controller === null || $trunks === []))) {
            return [];
        }
        $layouts = [];
        foreach ($places as $place) {
            $source = $this->tables->sources->at([$run], $place, false)[0] ?? null;
            if ($source === null) {
                continue;
            }
            foreach (self::thickest($this->tables->feeds($run, $place, Aim::Cost)) as $option) {
                $layouts[] = new Layout($source, $place, [
                    new RunBlock($controller, $place, $switched ? $trunks[0] : null, [$option]),
                ]);
            }
        }
        usort(
            $layouts,
            static fn(Layout $a, Layout $b): int => count($a->blocks[0]->feeds[0]->pads) <=>
                count($b->blocks[0]->feeds[0]->pads),
        );

        return $layouts;
    }

    /**
     * Of each pattern of new cables the one with the thickest.
     *
     * @param  array<FeedOption>  $options
     * @return array<string, FeedOption> by the pattern
     */
    public static function thickest(array $options): array
    {
        $thickest = [];
        foreach ($options as $option) {
            if (
                $option->leg === null &&
                self::ohms($option->tails[0]) <= self::ohms(($thickest[$option->pattern] ?? $option)->tails[0])
            ) {
                $thickest[$option->pattern] = $option;
            }
        }

        return $thickest;
    }

    private static function ohms(KitSnapshot $cable): float
    {
        if ($cable->entry instanceof Cable) {
            return $cable->entry->conductor->ohmsPerMetre;
        }

        return INF;
    }
}
