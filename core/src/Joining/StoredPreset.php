<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** A scene that is stored as a preset of a remote, panel, hub, bridge or controller. */
final readonly class StoredPreset
{
    /**
     * @param  string  $control  id of the unit that stores it; a controller stores its own light
     * @param  int  $number  of the preset, from 1
     * @param  string  $scene  its name
     * @param  array<string, float>  $levels  of each light, 0 to 1, by id
     */
    public function __construct(
        public string $control,
        public int $number,
        public string $scene,
        public array $levels,
    ) {}

    /** Its storing and its trial. */
    public function task(): Task
    {
        return new Task('', Task::STORE, $this->control, "preset{$this->number}", $this->number);
    }

    /**
     * Controls that set the lights before they are stored, by light: the one that stores them, or the first that works a controller.
     *
     * @return array<string, ControlledLight> empty if a light has none
     */
    public function setBy(Roster $roster): array
    {
        $by = [];
        foreach (array_keys($this->levels) as $light) {
            foreach ($roster->wants as $want) {
                if ($want->light === $light && in_array($this->control, [$want->control, $light], true)) {
                    $by[$light] ??= $want;
                }
            }
        }

        return count($by) === count($this->levels) ? $by : [];
    }
}
