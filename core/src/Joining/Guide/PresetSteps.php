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
        $n = $this->preset->number;
        $label = $this->control->label();
        $off = array_map(fn(string $light): Act => $this->level($light, 0.0), array_keys($this->preset->levels));

        return [
            $this->step(
                'scene',
                Look::Hand,
                "Set the lights as in “{$this->preset->scene}”: " . $this->levels(),
                'A preset stores the lights as they are at that moment.',
                array_map($this->level(...), array_keys($this->preset->levels), array_values($this->preset->levels)),
            ),
            $this->step(
                'keep',
                Look::Hand,
                "Store it as preset {$n} of {$label}" . ($store === '' ? '' : ": {$store}"),
                $store === '' ? 'By the gesture in its instructions.' : 'As its instructions say.',
                [new Act(Act::SET, $this->control->id, "store {$n}")],
            ),
            $this->step(
                JoinStep::RECALL,
                Look::Try,
                "Switch the lights off, then recall preset {$n}" .
                    ($recall === '' ? '' : " ({$recall})") .
                    ": is it “{$this->preset->scene}”?",
                'A gesture that was cut short stores nothing, and no lamp shows it.',
                [...$off, new Act(Act::SET, $this->control->id, "recall {$n}")],
                $this->levels(),
            ),
        ];
    }

    private function level(string $light, float $level): Act
    {
        $zone = 0;
        foreach ($this->roster->wantsOf($this->control->id) as $want) {
            $zone = $want->light === $light ? $want->zone : $zone;
        }

        return new Act(Act::TRY, $this->control->id, sprintf('%s %d %.2F', $light, $zone, $level));
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
