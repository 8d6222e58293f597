<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\KitSnapshot;

/** Runs that share a controller and its trunk; of pixels one run, straight on the supply. */
final readonly class RunBlock
{
    /** @param  list<FeedOption>  $feeds  in the order of the runs' ids */
    public function __construct(
        public ?KitSnapshot $controller,
        public string $place,
        public ?KitSnapshot $trunk,
        public array $feeds,
    ) {}

    public function cost(Tables $tables, string $supply): int
    {
        return array_sum(array_map(static fn(FeedOption $f): int => $f->cost, $this->feeds)) +
            ($this->controller === null ? 0 : $tables->costs->unit($this->controller)) +
            ($this->trunk === null
                ? 0
                : $tables->costs->cable($this->trunk, $tables->routes->trunk($supply, $this->place)) +
                    $tables->costs->terminals(self::TRUNK));
    }

    /** Two cores at two ends. */
    public const TRUNK = 4;

    public function joints(): int
    {
        return array_sum(array_map(static fn(FeedOption $f): int => $f->joints, $this->feeds)) +
            ($this->trunk === null ? 0 : self::TRUNK);
    }

    /** Cores that begin at the supply: of the trunk, else of each cable to a feed. */
    public function starts(Tables $tables): int
    {
        return $this->trunk === null ? array_sum(array_map($tables->starts(...), $this->feeds)) : self::TRUNK / 2;
    }

    /** Amps of the thinnest cable in it. */
    public function capacity(Tables $tables): float
    {
        return min([
            INF,
            ...array_map(static fn(FeedOption $f): float => $f->capacity, $this->feeds),
            ...$this->trunk === null ? [] : [$tables->carries($this->trunk)],
        ]);
    }

    /** @return array<string, mixed> */
    public function decision(): array
    {
        $runs = [];
        foreach ($this->feeds as $feed) {
            $runs[$feed->run] = $feed->decision();
        }

        return [
            'controller' => $this->controller?->entry->id(),
            'place' => $this->place,
            'runs' => $runs,
            'trunk' => $this->trunk?->entry->id(),
        ];
    }
}
