<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/**
 * A changed plan without what the change has left behind: cables that end at nothing, splices that lead to nothing, and supplies, controllers and
 * modules whose last user it took. A unit that had no user before, such as a supply just added, stays.
 */
final readonly class Settled
{
    public function __construct(private Plan $before, private Plan $after) {}

    public function after(): Plan
    {
        $after = $this->after;
        if (self::same($this->before, $after)) {
            return $after;
        }
        $had = self::used($this->before);
        do {
            $lost = array_diff_key($had, self::used($after));
            $splices = array_intersect_key($after->splices, self::leading($after));
            $starts = array_diff_key($after->supplies + $after->controllers, $lost) + $splices;
            $modules = array_diff_key($after->modules, $lost);
            $ends = $starts + $after->feeds + $after->fixtures;
            $cables = array_filter(
                $after->cables,
                static fn(LaidCable $c): bool => isset($ends[$c->to]) &&
                    (isset($starts[$c->from]) ||
                        (isset($modules[$c->from]) && ($after->fixtures[$c->to]->module ?? null) === $c->from)),
            );
            $there = count($after->cables) + count($after->modules) + count($after->splices);
            $there += count($after->supplies) + count($after->controllers);
            $settled = count($cables) + count($modules) + count($starts) === $there;
            if (!$settled) {
                $controllers = array_diff_key($after->controllers, $lost);
                $after = $after->with(
                    supplies: array_diff_key($after->supplies, $lost),
                    controllers: $controllers,
                    modules: $modules,
                    splices: $splices,
                    cables: $cables,
                    lights: array_intersect_key($after->lights, $controllers + $modules),
                );
            }
        } while (!$settled);

        return $after;
    }

    /** Whether nothing that could use or be used differs. */
    private static function same(Plan $one, Plan $other): bool
    {
        return $one->runs === $other->runs &&
            $one->supplies === $other->supplies &&
            $one->controllers === $other->controllers &&
            $one->modules === $other->modules &&
            $one->fixtures === $other->fixtures &&
            $one->splices === $other->splices &&
            array_keys($one->feeds) === array_keys($other->feeds) &&
            $one->cables === $other->cables;
    }

    /** @return array<string, true> ids of units that something needs */
    private static function used(Plan $plan): array
    {
        $used = [];
        foreach ($plan->runs as $run) {
            $used[$run->supply ?? ''] = $used[$run->controller ?? ''] = true;
        }
        foreach ($plan->fixtures as $fitting) {
            $used[$fitting->module ?? ''] = true;
        }
        foreach ($plan->supplies as $supply) {
            // A bank is there for its converter.
            $used[$supply->bank ?? ''] = true;
        }
        $leading = self::leading($plan);
        foreach ($plan->cables as $cable) {
            if (!isset($plan->splices[$cable->to]) || isset($leading[$cable->to])) {
                $used[$cable->from] = true;
            }
        }

        return $used;
    }

    /** @return array<string, true> ids of the splices from which a cable goes to something else than a splice, directly or through others */
    private static function leading(Plan $plan): array
    {
        if ($plan->splices === []) {
            return [];
        }
        $leading = [];
        do {
            $known = count($leading);
            foreach ($plan->cables as $cable) {
                if (
                    isset($plan->splices[$cable->from]) &&
                    (!isset($plan->splices[$cable->to]) || isset($leading[$cable->to]))
                ) {
                    $leading[$cable->from] = true;
                }
            }
        } while (count($leading) > $known);

        return $leading;
    }
}
