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
        if ($this->plan->controller($id)?->pixels !== null) {
            return $this->board($id);
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

    /** Label of a pixel board: its run, or the place of several, with its id where another board has pixels there too. */
    public function board(string $id): string
    {
        $mine = static fn(Run $r): bool => $r->controller === $id;
        $runs = array_values(array_filter($this->plan->runs, $mine));
        if (count($runs) < 2) {
            return $runs === [] ? strtoupper($id) : $runs[0]->name();
        }
        $others = array_filter(
            $this->plan->runs,
            fn(Run $r): bool => !$mine($r) &&
                $r->place === $runs[0]->place &&
                $this->plan->controller($r->controller)?->pixels !== null,
        );

        return "{$this->plan->places[$runs[0]->place]->name} pixels" . ($others === [] ? '' : ' ' . strtoupper($id));
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
