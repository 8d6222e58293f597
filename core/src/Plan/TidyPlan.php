<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** A plan without what leads nowhere and what nothing uses any more. */
trait TidyPlan
{
    /** Without splices that lead nowhere any more, and the cables to them. */
    public function pruned(): self
    {
        $plan = $this;
        do {
            $from = array_fill_keys(array_map(static fn(LaidCable $c): string => $c->from, $plan->cables), true);
            $dead = array_diff_key($plan->splices, $from);
            if ($dead === []) {
                $plan = $plan;
            } else {
                $plan = $plan->with(
                    splices: array_intersect_key($plan->splices, $from),
                    cables: array_filter($plan->cables, static fn(LaidCable $c): bool => !isset($dead[$c->to])),
                );
            }
        } while ($dead !== []);

        return $plan;
    }

    /** Without modules that dim nothing any more. */
    public function tidied(): self
    {
        $used = array_fill_keys(array_map(static fn(Fitting $f): string => (string) $f->module, $this->fixtures), true);

        return $this->with(modules: array_intersect_key($this->modules, $used));
    }

    /**
     * The plan with exactly these feeds on a run; cables to feeds that are gone go with them.
     *
     * @param  array<string, Feed>  $feeds  by id
     */
    public function fedBy(Run $run, array $feeds): self
    {
        $kept = $feeds + array_filter($this->feeds, static fn(Feed $f): bool => $f->run !== $run->id);
        $lost = array_diff_key($this->feeds, $kept);

        return $this->with(
            feeds: $kept,
            cables: array_filter($this->cables, static fn(LaidCable $c): bool => !isset($lost[$c->to])),
        )->pruned();
    }

    /**
     * Scenes without what the job has no longer.
     *
     * @param  array<string, Scene>  $scenes
     * @param  array<string, Device>  $controllers
     * @param  array<string, Run>  $runs
     * @return array<string, Scene>
     */
    private static function played(array $scenes, array $controllers, array $runs): array
    {
        return array_map(
            static fn(Scene $s): Scene => new Scene(
                $s->id,
                $s->name,
                array_intersect_key($s->levels, $controllers + $runs),
            ),
            $scenes,
        );
    }

    /** @return array<string, true> shelf ids of what the plan itself is made of */
    public function kitInUse(): array
    {
        $used = [];
        foreach ($this->runs as $run) {
            $used[$run->strip ?? ''] = true;
        }
        foreach ($this->makings as $making) {
            $used[$making->profile ?? ''] = $used[$making->diffuser ?? ''] = true;
        }
        foreach ($this->cables as $cable) {
            $used[$cable->joint ?? ''] = $used[$cable->fuse ?? ''] = true;
        }
        foreach (
            [$this->supplies, $this->controllers, $this->hubs, $this->modules, $this->fixtures, $this->cables]
            as $list
        ) {
            foreach ($list as $thing) {
                $used[$thing->kit] = true;
            }
        }

        return $used;
    }
}
