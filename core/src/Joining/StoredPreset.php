<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** A scene that is stored as a preset of a remote, panel, hub or bridge. */
final readonly class StoredPreset
{
    /**
     * @param  string  $control  id of the unit that stores it
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
}
