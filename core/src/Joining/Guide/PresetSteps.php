<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Guide;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\StoredPreset;
use EmberDusk\Joining\Unit;

/** Steps of a preset: the lights set as in the scene, stored by the control's own gesture, and recalled once as the proof. */
final readonly class PresetSteps
{
    private Unit $control;

    public function __construct(private StoredPreset $preset, private Roster $roster)
    {
        $this->control = $roster->unit($preset->control);
    }

    /** @return list<JoinStep> */
    public function all(): array
    {
        [$store, $recall] = [$this->control->leaflet->store, $this->control->leaflet->recall];
        [$n, $label, $scene] = [$this->preset->number, $this->control->label(), $this->preset->scene];
        $inApp = in_array($this->control->role, [Unit::HUB, Unit::BRIDGE], true);
        $keep = $inApp ? "Save it as “{$scene}” in the app of {$label}" : "Store it as preset {$n} of {$label}";
        $call = $inApp ? "call “{$scene}” in the app" : "recall preset {$n}";
        $off = array_map(fn(string $light): Act => $this->level($light, 0.0), array_keys($this->preset->levels));

        return [
            $this->step(
                'scene',
                Look::Hand,
                "Set the lights as in “{$scene}”: " . $this->levels(),
                'A preset stores the lights as they are at that moment.',
                array_map($this->level(...), array_keys($this->preset->levels), array_values($this->preset->levels)),
            ),
            $this->step(
                'keep',
                Look::Hand,
                $keep . ($store === '' ? '' : ": {$store}"),
                $store === '' && !$inApp ? 'By the gesture in its instructions.' : 'As its instructions say.',
                [new Act(Act::SET, $this->control->id, "store {$n}")],
            ),
            $this->step(
                JoinStep::RECALL,
                Look::Try,
                "Switch the lights off, then {$call}" . ($recall === '' ? '' : " ({$recall})") . ": is it “{$scene}”?",
                $inApp
                    ? 'An app that was closed too early has saved nothing, and no lamp shows it.'
                    : 'A gesture that was cut short stores nothing, and no lamp shows it.',
                [...$off, new Act(Act::SET, $this->control->id, "recall {$n}")],
                $this->levels(),
            ),
        ];
    }

    private function level(string $light, float $level): Act
    {
        $by = $this->preset->setBy($this->roster)[$light];

        return new Act(Act::TRY, $by->control, sprintf('%s %d %.2F', $light, $by->zone, $level));
    }

    /** Level of each light in words: “cove 40 %, desk off”. */
    private function levels(): string
    {
        $words = [];
        foreach ($this->preset->levels as $light => $level) {
            $unit = $this->roster->unit($light);
            $name = $unit->name === '' ? $unit->label() : mb_strtolower($unit->name);
            $words[] = $level > 0.0 ? sprintf('%s %.0F %%', $name, 100 * $level) : "{$name} off";
        }

        return implode(', ', $words);
    }

    /** @param  list<Act>  $acts */
    private function step(
        string $kind,
        Look $look,
        string $title,
        string $why,
        array $acts,
        string $expects = '',
    ): JoinStep {
        return new JoinStep(
            task: $this->preset->task()->id(),
            kind: $kind,
            look: $look,
            device: $this->control->id,
            title: $title,
            why: $why,
            where: 'with ' . $this->control->called(),
            acts: $acts,
            watches: array_key_first($this->preset->levels) ?? '',
            expects: $expects,
            // Not there: it is set and stored once more.
            retry: $look === Look::Try ? 'scene' : '',
        );
    }
}
