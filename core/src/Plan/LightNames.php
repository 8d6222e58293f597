<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** Labels of a plan's lights for people. */
final readonly class LightNames
{
    public function __construct(private Plan $plan) {}

    /** Its name, its run, segment or lamps, or its id. */
    public function of(string $id): string
    {
        if (isset($this->plan->lights[$id])) {
            return $this->plan->lights[$id]->name;
        }
        if (isset($this->plan->segments[$id])) {
            return $this->plan->segments[$id]->name;
        }
        foreach ($this->plan->runs as $run) {
            if ($run->id === $id || $run->controller === $id) {
                return $run->name();
            }
        }
        $dimmed = array_filter($this->plan->fixtures, static fn(Fitting $f): bool => $f->module !== null);
        foreach ($dimmed as $fitting) {
            if ($fitting->module === $id) {
                return $this->lamps($fitting, $dimmed);
            }
        }

        return strtoupper($id);
    }

    /**
     * Label of dimmed fixtures: their place, and their id where another module dims lamps there too.
     *
     * @param  array<string, Fitting>  $dimmed
     */
    private function lamps(Fitting $of, array $dimmed): string
    {
        $others = array_filter(
            $dimmed,
            static fn(Fitting $f): bool => $f->place === $of->place && $f->module !== $of->module,
        );

        return "{$this->plan->places[$of->place]->name} lamps" . ($others === [] ? '' : ' ' . strtoupper($of->id));
    }
}
