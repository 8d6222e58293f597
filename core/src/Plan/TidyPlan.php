<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** Clean-up of a plan: removes dead ends and unused units. */
trait TidyPlan
{
    /**
     * The plan with exactly these feeds on a run; cables to feeds that are gone go with them.
     *
     * @param  array<string, Feed>  $feeds  by id
     */
    public function fedBy(Run $run, array $feeds): self
    {
        $others = array_filter($this->feeds, static fn(Feed $f): bool => $f->run !== $run->id);

        return (new Settled($this, $this->with(feeds: $feeds + $others)))->after();
    }

    /**
     * Scenes without deleted lights.
     *
     * @param  array<string, Scene>  $scenes
     * @param  array<string, mixed>  $lights
     * @return array<string, Scene>
     */
    private static function played(array $scenes, array $lights): array
    {
        return array_map(static fn(Scene $s): Scene => $s->only($lights), $scenes);
    }

    /**
     * Shows without deleted lights; an empty one is kept for its name.
     *
     * @param  array<string, Show>  $shows
     * @param  array<string, Scene>  $scenes
     * @param  array<string, mixed>  $lights
     * @return array<string, Show>
     */
    private static function shown(array $shows, array $scenes, array $lights): array
    {
        return array_map(
            static fn(Show $s): Show => $s->keeping(
                static fn(string $id): bool => isset($scenes[$id]),
                static fn(string $id): bool => isset($lights[$id]),
            ),
            $shows,
        );
    }

    /**
     * Data lines of boards and runs that are still there; a branch whose line is gone becomes a separate line.
     *
     * @return array<string, DataLine>
     */
    private static function led(self $plan): array
    {
        $lines = array_filter(array_map(static fn(DataLine $l): ?DataLine => $l->keeping($plan), $plan->lines));

        return array_map(
            static fn(DataLine $l): DataLine => isset($lines[$l->mirrors ?? '']) ? $l : $l->alone(),
            $lines,
        );
    }

    /**
     * Segments of pixel runs that are still there, none past the end of its run. Of a run in parts they stay as they are for when it is one again.
     *
     * @return array<string, Segment>
     */
    private static function lightable(self $plan): array
    {
        return array_filter(
            array_map(
                static fn(Segment $s): ?Segment => match (true) {
                    !isset($plan->runs[$s->run]) => null,
                    $plan->runs[$s->run]->parts > 1 => $s,
                    default => $s->within($plan->of($plan->runs[$s->run])->pixels()),
                },
                $plan->segments,
            ),
        );
    }

    /**
     * States before a split, of runs that are still split.
     *
     * @param  array<string, Split>  $splits
     * @param  array<string, Run>  $runs
     * @return array<string, Split>
     */
    private static function parted(array $splits, array $runs): array
    {
        return array_filter(
            $splits,
            static fn(Split $s): bool => isset($runs[$s->id]) &&
                ($runs[$s->id]->parts > 1 || $runs[$s->id]->zones !== []),
        );
    }

    /** @return array<string, true> shelf ids used by the plan itself */
    public function kitInUse(): array
    {
        $used = [];
        foreach ($this->runs as $run) {
            $used[$run->strip ?? ''] = true;
        }
        // The state before a split is part of the plan.
        foreach ($this->splits as $split) {
            $used[$split->run->strip ?? ''] = true;
            foreach ($split->cables as $cable) {
                $used[$cable->kit] = $used[$cable->joint ?? ''] = true;
                $used[$cable->fuse ?? ''] = $used[$cable->switch ?? ''] = true;
            }
        }
        foreach ($this->makings as $making) {
            $used[$making->profile ?? ''] = $used[$making->diffuser ?? ''] = true;
        }
        foreach ($this->cables as $cable) {
            $used[$cable->joint ?? ''] = $used[$cable->fuse ?? ''] = $used[$cable->switch ?? ''] = true;
        }
        foreach (
            [
                $this->supplies,
                $this->controllers,
                $this->hubs,
                $this->modules,
                $this->fixtures,
                $this->cables,
                $this->items,
            ]
            as $list
        ) {
            foreach ($list as $thing) {
                $used[$thing->kit] = true;
            }
        }

        return $used;
    }
}
