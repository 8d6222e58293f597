<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Connector;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Dimmer;
use EmberDusk\Kit\Fixture;
use EmberDusk\Kit\Fuse;
use EmberDusk\Kit\Hub;
use EmberDusk\Kit\InlineSwitch;
use EmberDusk\Kit\Powers;
use EmberDusk\Kit\Strip;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/** Invariants of every plan: names, references and counts. */
final readonly class Invariants
{
    /** Most groups of all runs of a job together. */
    public const MOST_GROUPS = 200_000;

    /** Most runs of a job: up to there every stage answers within seconds. */
    public const MOST_RUNS = 200;

    /** Most places of a job. */
    public const MOST_PLACES = 100;

    private function __construct(private Plan $plan) {}

    /** @throws Refusal at the JSON Pointer of the first breach */
    public static function check(Plan $plan): void
    {
        (new self($plan))->all();
    }

    /** @throws Refusal at the JSON Pointer of the first breach */
    private function all(): void
    {
        self::need(
            trim($this->plan->name) !== '' && mb_strlen($this->plan->name) <= 80,
            '/name',
            'A job has a name of at most 80 letters.',
        );
        self::need(mb_strlen($this->plan->client) <= 80, '/client', 'The client has at most 80 letters.');
        foreach (array_values($this->plan->runs) as $n => $run) {
            self::need(isset($this->plan->places[$run->place]), "/runs/{$n}/place", "No place “{$run->place}”.");
            $this->kit($run->strip, Strip::class, "/runs/{$n}/strip");
            self::need(
                $run->supply === null || isset($this->plan->supplies[$run->supply]),
                "/runs/{$n}/supply",
                "No supply “{$run->supply}”.",
            );
            self::need(
                $run->controller === null || isset($this->plan->controllers[$run->controller]),
                "/runs/{$n}/controller",
                "No controller “{$run->controller}”.",
            );
        }
        foreach (array_values($this->plan->options) as $n => $requirement) {
            self::need(
                isset($this->plan->runs[$requirement->run]),
                "/options/{$n}/run",
                "No run “{$requirement->run}”.",
            );
        }
        foreach (array_keys($this->plan->owned) as $n => $id) {
            self::need(isset($this->plan->kit[$id]), "/owned/{$n}/id", "The job's kit has no “{$id}”.");
        }
        foreach (array_keys($this->plan->spares) as $n => $id) {
            self::need(isset($this->plan->kit[$id]), "/spares/{$n}/id", "The job's kit has no “{$id}”.");
        }
        foreach (array_values($this->plan->makings) as $n => $making) {
            self::need(isset($this->plan->runs[$making->id]), "/makings/{$n}/id", "No run “{$making->id}”.");
            foreach (['profile' => $making->profile, 'diffuser' => $making->diffuser] as $kind => $id) {
                self::need(
                    $id === null || ($this->plan->kit[$id]->written['kind'] ?? '') === $kind,
                    "/makings/{$n}/{$kind}",
                    "The job's kit has no {$kind} “{$id}”.",
                );
            }
        }
        self::need(
            count($this->plan->runs) <= self::MOST_RUNS,
            '/runs',
            sprintf(
                'A job has at most %d runs; with these it would have %d. Part it into two jobs.',
                self::MOST_RUNS,
                count($this->plan->runs),
            ),
        );
        self::need(
            count($this->plan->places) <= self::MOST_PLACES,
            '/places',
            sprintf('A job has at most %d places.', self::MOST_PLACES),
        );
        $this->units('supplies', $this->plan->supplies, Powers::class);
        $this->units('controllers', $this->plan->controllers, Controller::class);
        $this->units('hubs', $this->plan->hubs, Hub::class);
        $this->units('modules', $this->plan->modules, Dimmer::class);
        $this->units('cables', $this->plan->cables, Cable::class);
        foreach (array_values($this->plan->cables) as $n => $cable) {
            $this->kit($cable->joint, Connector::class, "/cables/{$n}/joint");
            $this->kit($cable->fuse, Fuse::class, "/cables/{$n}/fuse");
            $this->kit($cable->switch, InlineSwitch::class, "/cables/{$n}/switch");
        }
        $this->banks();
        foreach (array_values($this->plan->items) as $n => $item) {
            self::need(isset($this->plan->places[$item->place]), "/items/{$n}/place", "No place “{$item->place}”.");
            self::need(
                $this->plan->kit[$item->kit]->beside() !== null,
                "/items/{$n}/kit",
                "The job's kit has no “{$item->kit}” among the other items.",
            );
        }
        $this->names();
        $this->fixtures();
        $this->scenes();
        $this->played();
        $this->shared();
        $this->lines();
        (new CableInvariants($this->plan))->feeds();
        (new CableInvariants($this->plan))->cables();
        foreach (array_keys($this->plan->lights) as $n => $id) {
            self::need(isset($this->plan->lightUnits()[$id]), "/lights/{$n}/id", "No controller or module “{$id}”.");
        }
    }

    /**
     * @param  array<string, Device|LaidCable>  $units
     * @param  class-string  $kind
     */
    private function units(string $list, array $units, string $kind): void
    {
        foreach (array_values($units) as $n => $unit) {
            $this->kit($unit->kit, $kind, "/{$list}/{$n}/kit");
        }
    }

    /** A converter is fed by a bank of blocks, and by nothing else. */
    private function banks(): void
    {
        foreach (array_values($this->plan->supplies) as $n => $unit) {
            self::need(
                $unit->bank === null ||
                    ($this->plan->converter($unit->id) !== null && $this->plan->block($unit->bank) !== null),
                "/supplies/{$n}/bank",
                "A converter takes its power from a bank of the job, not “{$unit->id}” from “{$unit->bank}”.",
            );
        }
    }

    /** Ids that become node names are unique and differ from the netlist's own names. */
    private function names(): void
    {
        $seen = [];
        foreach (['supplies', 'controllers', 'modules', 'splices', 'fixtures'] as $list) {
            foreach (array_keys($this->plan->{$list}) as $n => $id) {
                self::need(!isset($seen[$id]), "/{$list}/{$n}/id", "“{$id}” is the id of something else already.");
                self::need(
                    preg_match('/^(x|r|gnd)(-|$)/', $id) !== 1,
                    "/{$list}/{$n}/id",
                    "“{$id}” is kept for the circuit's own names: take a letter and a number.",
                );
                $seen[$id] = true;
            }
        }
    }

    private function fixtures(): void
    {
        foreach (array_values($this->plan->fixtures) as $n => $fitting) {
            $this->kit($fitting->kit, Fixture::class, "/fixtures/{$n}/kit");
            self::need(
                isset($this->plan->places[$fitting->place]),
                "/fixtures/{$n}/place",
                "No place “{$fitting->place}”.",
            );
            self::need(
                $fitting->module === null || isset($this->plan->modules[$fitting->module]),
                "/fixtures/{$n}/module",
                "No module “{$fitting->module}”.",
            );
        }
    }

    private function scenes(): void
    {
        foreach (array_values($this->plan->scenes) as $n => $scene) {
            self::need(trim($scene->name) !== '', "/scenes/{$n}/name", 'A scene has a name.');
            foreach (array_keys($scene->levels) as $of) {
                self::need(
                    isset($this->plan->lightUnits()[$of]) || $this->plan->pixelRun((string) $of) !== null,
                    "/scenes/{$n}/levels",
                    "No controller, module, run or segment “{$of}”.",
                );
            }
        }
        foreach (array_values($this->plan->runs) as $n => $run) {
            self::need(
                array_diff($run->pins, Run::PINS) === [],
                "/runs/{$n}/pins",
                'Pinned are ' . implode(', ', Run::PINS) . '.',
            );
        }
    }

    /** Shows and triggers refer to scenes and lights of the job. */
    private function played(): void
    {
        $lights = $this->plan->lightUnits() + $this->plan->runs + $this->plan->segments;
        foreach (array_values($this->plan->shows) as $n => $show) {
            self::need($show->name !== '', "/shows/{$n}/name", 'A show has a name.');
            self::need(
                !isset($this->plan->scenes[$show->id]),
                "/shows/{$n}/id",
                "“{$show->id}” is the id of a scene already.",
            );
            foreach ($show->steps as $k => $step) {
                self::need(
                    isset($this->plan->scenes[$step->scene]),
                    "/shows/{$n}/steps/{$k}/scene",
                    "No scene “{$step->scene}”.",
                );
            }
            foreach ($show->lights as $k => $light) {
                self::need(isset($lights[$light]), "/shows/{$n}/lights/{$k}", "No light “{$light}”.");
            }
        }
        foreach (array_values($this->plan->triggers) as $n => $trigger) {
            self::need(
                $trigger->plays === Trigger::NOTHING ||
                    isset($this->plan->scenes[$trigger->plays]) ||
                    isset($this->plan->shows[$trigger->plays]),
                "/triggers/{$n}/plays",
                "No scene or show “{$trigger->plays}”.",
            );
        }
        foreach (array_keys($this->plan->tunings) as $n => $id) {
            self::need(isset($lights[$id]), "/tunings/{$n}/id", "No light “{$id}”.");
        }
    }

    /** Runs of one controller share its supply, and their strips are of one kind; zones are cut inside pixel runs only. */
    private function shared(): void
    {
        $first = [];
        foreach (array_values($this->plan->runs) as $n => $run) {
            $strip = $this->plan->strip($run->strip);
            foreach ($run->zones as $k => $pad) {
                self::need(
                    $strip !== null && !$strip->switched() && $pad < $this->plan->of($run)->marks()->lastPad(),
                    "/runs/{$n}/zones/{$k}",
                    'The + is cut inside a pixel run only.',
                );
            }
            if ($run->controller === null || $strip?->switched() === false) {
                continue;
            }
            $other = $first[$run->controller] ??= $run;
            self::need(
                $other->supply === $run->supply,
                "/runs/{$n}/supply",
                "“{$run->controller}” drives another run from another supply.",
            );
            $of = $this->plan->strip($other->strip);
            self::need(
                $of === null || $strip === null || count($of->channels) === count($strip->channels),
                "/runs/{$n}/strip",
                "“{$run->controller}” drives a strip of another kind already.",
            );
        }
    }

    /** A data line leads from a pixel board through runs of that board, each of them once; a branch mirrors a line of its board that is no branch. */
    private function lines(): void
    {
        $led = [];
        foreach (array_values($this->plan->lines) as $n => $line) {
            self::need(
                $this->plan->controller($line->board)?->pixels !== null,
                "/lines/{$n}/board",
                "No pixel board “{$line->board}”.",
            );
            self::need($line->runs !== [], "/lines/{$n}/runs", 'A data line leads to at least one run.');
            foreach ($line->runs as $k => $id) {
                self::need(
                    ($this->plan->runs[$id]->controller ?? null) === $line->board,
                    "/lines/{$n}/runs/{$k}",
                    "“{$line->board}” has no run “{$id}”.",
                );
                self::need(!isset($led[$id]), "/lines/{$n}/runs/{$k}", "“{$id}” is on a data line already.");
                $led[$id] = true;
            }
            foreach ($line->reversed as $k => $id) {
                self::need(
                    in_array($id, $line->runs, true),
                    "/lines/{$n}/reversed/{$k}",
                    "“{$id}” is not on this data line.",
                );
            }
            $first = $this->plan->lines[$line->mirrors ?? ''] ?? null;
            self::need(
                $line->mirrors === null ||
                    ($first !== null &&
                        $first->id !== $line->id &&
                        $first->board === $line->board &&
                        $first->mirrors === null),
                "/lines/{$n}/mirrors",
                "“{$line->mirrors}” is no data line of “{$line->board}” with an output of its own.",
            );
        }
    }

    /** @param  class-string  $kind */
    private function kit(?string $id, string $kind, string $pointer): void
    {
        self::need(
            $id === null || ($this->plan->kit[$id]->entry ?? null) instanceof $kind,
            $pointer,
            "The job's kit has no " .
                ($kind === Powers::class ? 'supply' : strtolower(substr((string) strrchr($kind, '\\'), 1))) .
                " “{$id}”.",
        );
    }

    public static function need(bool $holds, string $pointer, string $message): void
    {
        if (!$holds) {
            throw InvalidInput::at($pointer, $message);
        }
    }
}
