<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Kit\ControlWay;
use EmberDusk\Plan\Answer;
use EmberDusk\Plan\Plan;

/**
 * Planned control of each light. By default every control works the lights of its radio and type, a remote or panel those of the same place first.
 * Manual decisions override this.
 */
final readonly class PlannedControls
{
    /** Ways that a phone works automatically, without hub, remote or bridge. */
    private const PHONE_WAYS = ['bluetooth', 'mesh', 'wifi'];

    private ?Unit $hub;

    /** @param  array<string, Unit>  $units  by id */
    public function __construct(private Plan $plan, private array $units)
    {
        $hubs = array_filter($units, static fn(Unit $u): bool => $u->role === Unit::HUB && $u->way === 'zigbee');
        $this->hub = $hubs === [] ? null : reset($hubs);
    }

    /** @return list<ControlledLight> */
    public function all(): array
    {
        $wants = [];
        foreach ($this->units as $unit) {
            if ($unit->lights()) {
                if ($this->cannot($this->units[Roster::PHONE], $unit) === null) {
                    $wants = [...$wants, ...$this->decided($this->units[Roster::PHONE], [$unit])];
                }
            } elseif ($unit->role !== Unit::PHONE) {
                $wants = [...$wants, ...$this->decided($unit, $this->workedBy($unit))];
            }
        }

        return $wants;
    }

    /** Why a control cannot work a light at all; null where it can. */
    public function cannot(Unit $control, Unit $light): ?string
    {
        if ($control->role === Unit::PHONE) {
            if (in_array($light->way, self::PHONE_WAYS, true)) {
                return null;
            }

            return "A phone reaches {$light->label()} by a hub or bridge only.";
        }
        if ($light->family === '') {
            return "This tool has no joining steps for {$light->label()}.";
        }
        $reads = $control->role === Unit::ASSISTANT;
        if ($reads && $this->hub === null) {
            return "{$control->label()} reads a hub, and the job has none.";
        }
        if ($reads ? $light->way !== 'zigbee' : $light->way !== $control->way) {
            if ($reads) {
                return "The hub that {$control->label()} reads does not have {$light->label()}.";
            }

            return "{$control->label()} speaks " .
                self::way($control->way) .
                ", {$light->label()} " .
                self::way($light->way) .
                '.';
        }
        $sets = $reads ? array_values(array_intersect($control->sets, $this->hub->sets ?? [])) : $control->sets;

        if (in_array($light->kind, $sets, true) || in_array('single', $sets, true)) {
            return null;
        }

        return "{$control->label()} can neither set nor dim what {$light->label()} drives.";
    }

    private static function way(string $way): string
    {
        return ControlWay::tryFrom($way)?->word() ?? $way;
    }

    /** @return list<Unit> default lights of a control */
    private function workedBy(Unit $control): array
    {
        $able = $this->able($control);
        if (!in_array($control->role, [Unit::REMOTE, Unit::PANEL], true)) {
            return $able;
        }
        // Controls in a place work that place; without such a light, all.
        $here = array_values(array_filter($able, static fn(Unit $u): bool => $u->place === $control->place));

        if ($here === []) {
            return $able;
        }

        return $here;
    }

    /** @return list<Unit> */
    private function able(Unit $control): array
    {
        return array_values(
            array_filter($this->units, fn(Unit $u): bool => $u->lights() && $this->cannot($control, $u) === null),
        );
    }

    /**
     * @param  list<Unit>  $lights default lights
     * @return list<ControlledLight>
     */
    private function decided(Unit $control, array $lights): array
    {
        $usual = array_fill_keys(array_map(static fn(Unit $u): string => $u->id, $lights), true);
        $able = $control->role === Unit::PHONE ? $lights : $this->able($control);
        $wanted = [];
        foreach ($able as $light) {
            $answer = $this->answer($control, $light);
            if ($answer === null ? isset($usual[$light->id]) : $answer->wanted) {
                $wanted[] = [$light, $answer->zone ?? 0];
            }
        }
        $taken = array_fill_keys(array_column($wanted, 1), true);
        $next = 1;
        $wants = [];
        foreach ($wanted as [$light, $zone]) {
            if ($control->zones === 0) {
                $wants[] = new ControlledLight($control->id, $light->id);

                continue;
            }
            while ($zone === 0 && isset($taken[$next])) {
                $next++;
            }
            $wants[] = new ControlledLight($control->id, $light->id, $zone === 0 ? $next++ : $zone);
        }

        return $wants;
    }

    /** Manual decision for the pair. */
    public function answer(Unit $control, Unit $light): ?Answer
    {
        $of = $control->role !== Unit::PHONE ? $control->item : Answer::PHONE;

        return $this->plan->answers[Answer::key($of, $light->item)] ?? null;
    }
}
