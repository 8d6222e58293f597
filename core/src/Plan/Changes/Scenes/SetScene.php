<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Scenes;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;
use EmberDusk\Values\InvalidInput;

/** A scene with its levels; one in which nothing is lit is taken out. */
final readonly class SetScene extends Change
{
    /** Scenes of a job. */
    private const MOST = 40;

    /**
     * @param  array<string, list<float>>  $levels  duties by controller or pixel run
     * @param  float|null  $fade seconds; null leaves it unchanged
     */
    private function __construct(
        private ?string $scene,
        private string $name,
        private array $levels,
        private ?float $fade,
    ) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $levels = [];
        foreach ($f->objects('levels') as $level) {
            $levels[$level->string('of', 40)] = $level->numbers('duties', 0, 1);
        }
        $name = trim($f->string('name', 40));

        return new self(
            $f->stringOrNull('scene'),
            $name === '' ? throw $f->invalid('name', 'Give the scene a name: it is used for voice control.') : $name,
            $levels,
            $f->numberOrNull('fade', 0, Scene::LONGEST_FADE),
        );
    }

    protected function changed(Plan $plan): Plan
    {
        $id = $this->scene ?? Plan::nextId('e', $plan->scenes);
        if ($this->scene !== null && !isset($plan->scenes[$id])) {
            throw InvalidInput::unknown('/scene', 'scene', $id);
        }
        foreach ($plan->scenes as $other) {
            if ($other->id !== $id && mb_strtolower($other->name) === mb_strtolower($this->name)) {
                throw InvalidInput::at('/name', "There is a scene “{$other->name}” already.");
            }
        }
        if (!isset($plan->scenes[$id]) && count($plan->scenes) >= self::MOST) {
            throw InvalidInput::at('/scene', 'A job has at most ' . self::MOST . ' scenes.');
        }
        foreach (array_keys($this->levels) as $of) {
            if (!isset($plan->lightUnits()[$of]) && $plan->pixelRun($of) === null) {
                throw InvalidInput::at('/levels', "No controller, module, run or segment “{$of}”.");
            }
        }
        // A segment that is off beside the rest of its run is part of the scene.
        $off = fn(string $of): bool => array_sum($this->levels[$plan->segments[$of]->run ?? ''] ?? []) > 0;
        $lit = array_filter(
            $this->levels,
            static fn(array $duties, string $of): bool => array_sum($duties) > 0 || $off($of),
            ARRAY_FILTER_USE_BOTH,
        );

        $fade = $this->fade ?? ($plan->scenes[$id]->fade ?? 0.0);

        return $plan->put('scenes', $id, $lit === [] ? null : new Scene($id, $this->name, $fade, $lit));
    }

    public function words(Plan $plan): string
    {
        return "Scene “{$this->name}” " .
            (array_filter($this->levels, static fn(array $d): bool => array_sum($d) > 0) === [] ? 'taken out' : 'set');
    }
}
