<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Converter;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Routes\Routes;
use EmberDusk\Plan\Run;
use EmberDusk\Values\InvalidInput;

/** One choice of a person that the planner keeps to: its price beside the best tells why the best is another. */
final readonly class Wish
{
    /**
     * @param  string  $of  size of every cable, kit id of every controller, board, supply or converter, name of the place of controllers, or number of
     *     feeds of each run; empty for one supply
     */
    private function __construct(public WishKind $kind, public string $of) {}

    /**
     * A wish from its key, such as “cable 2.5 mm²”.
     *
     * @throws InvalidInput at /wish
     */
    public static function read(string $key): self
    {
        [$word, $of] = [...explode(' ', $key, 2), ''];
        $kind = WishKind::tryFrom($word);
        $counts = array_map(strval(...), range(1, Feeding::MOST));
        if ($kind === null || ($kind === WishKind::Feeds && !in_array($of, $counts, true))) {
            throw InvalidInput::unknown('/wish', 'choice', $key);
        }

        return new self($kind, $of);
    }

    /** Whether an entry of the shelf may be used. */
    public function allows(string $kind, KitSnapshot $kit): bool
    {
        return match (true) {
            $this->kind->value !== $kind => true,
            $kit->entry instanceof Cable => $kit->entry->conductor->label() === $this->of,
            default => $kit->entry->id() === $this->of,
        };
    }

    /** @return array<string, string> the choice of a unit by its key; none of a bank */
    private static function source(PowerSource $source): array
    {
        $unit = $source->unit->entry;
        $kind = match (true) {
            $source->tapped() => null,
            $unit instanceof Converter => WishKind::Converter,
            default => WishKind::Supply,
        };

        return $kind === null ? [] : ["{$kind->value} {$unit->id()}" => "{$unit->name()} as every {$kind->value}"];
    }

    /**
     * Choices that can be asked for with groups of runs.
     *
     * @param  list<Group>  $groups
     * @return list<WishChoice>
     */
    public static function choices(array $groups): array
    {
        $words = [];
        foreach ($groups as $group) {
            $tables = $group->search->tables;
            $pins = array_merge(...array_map(static fn(Run $r): array => $r->pins, $group->runs));
            // What is kept as it is cannot be asked for.
            foreach (in_array('cables', $pins, true) ? [] : $tables->priced->cables(2) as $cable) {
                $size = $cable->entry instanceof Cable ? $cable->entry->conductor->label() : '';
                $words["cable {$size}"] = "{$size} for every new cable";
            }
            foreach (in_array('feeds', $pins, true) ? [] : range(1, Feeding::MOST) as $count) {
                $words["feeds {$count}"] = $count === 1 ? 'one feed for each run' : "{$count} feeds for each run";
            }
            if (in_array('kit', $pins, true)) {
                continue;
            }
            foreach ($tables->places($group->runs, false) as $place) {
                if (Routes::where($place) !== '') {
                    $words["place {$place}"] = "controllers in {$place}";
                }
            }
            if (count($group->parts) > 1) {
                $words[WishKind::OneSupply->value] = 'one supply for all';
            }
            foreach ($group->runs as $run) {
                foreach ($tables->controllers([$run], true) as $kit) {
                    $words["controller {$kit->entry->id()}"] = "{$kit->entry->name()} as every controller";
                }
                foreach ($tables->places([$run], true) as $place) {
                    foreach ($tables->sources->at([$run], $place, true) as $source) {
                        $words += self::source($source);
                    }
                }
            }
        }

        foreach (self::boards($groups) as $id => $kit) {
            $words["board {$id}"] = "{$kit->entry->name()} as every new board";
        }

        return array_map(
            static fn(string $key, string $said): WishChoice => new WishChoice($key, $said),
            array_keys($words),
            array_values($words),
        );
    }

    /**
     * Boards that can drive each of the runs that lack one: with another, some would stay without.
     *
     * @param  list<Group>  $groups
     * @return array<string, KitSnapshot> by id
     */
    private static function boards(array $groups): array
    {
        $common = null;
        foreach ($groups as $group) {
            $tables = $group->search->tables;
            foreach (array_filter($group->runs, $tables->sources->boards->bare(...)) as $run) {
                $fitting = [];
                foreach ($tables->places([$run], true) as $place) {
                    foreach ($tables->sources->at([$run], $place, true) as $source) {
                        $fitting += $tables->sources->boards->fitting($run, $place, $source);
                    }
                }
                $common = $common === null ? $fitting : array_intersect_key($common, $fitting);
            }
        }

        return $common ?? [];
    }
}
