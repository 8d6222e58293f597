<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Kit\Beside;
use EmberDusk\Kit\Control;
use EmberDusk\Kit\Facts;
use EmberDusk\Kit\Hub;
use EmberDusk\Kit\Kinds;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Plan;

/** Controls available for a light, and their extent: all of it, on, off and dimming only, or none. */
final readonly class ControlReach
{
    public const ALL = 'all';

    public const DIMS = 'dims';

    public const NOT = 'not';

    /** Kind of a hub's app, which is no kit of its own. */
    public const APP = 'app';

    /** The extents, the least first. */
    public const RANK = [self::NOT => 0, self::DIMS => 1, self::ALL => 2];

    /**
     * The best of each kind for a way of control and a kind of light; the hub is the job's own.
     *
     * @return list<OptionReach>
     */
    public static function for(
        Plan $plan,
        ?KitSnapshot $taken,
        string $control,
        string $colour,
        ShelfSource $shelf,
    ): array {
        $hub = $taken->entry ?? $plan->hub(array_key_first($plan->hubs));
        if (!($hub instanceof Hub) || !in_array($control, $hub->speaks, true)) {
            $hub = null;
        }
        $app = $hub !== null ? self::reach($hub->sets, $colour) : self::NOT;
        if ($hub === null) {
            $text = 'no hub here speaks ' . Facts::way($control);
        } else {
            $text = self::words($app, $hub->name(), $colour);
        }
        $rows = [new OptionReach(kind: self::APP, label: 'Hub’s app', reach: $app, text: $text)];
        foreach (self::compared() as $kind => $label) {
            $best = [self::NOT, 'none on the shelf speaks ' . Facts::way($control)];
            foreach ($shelf->ofKind($kind) as $snapshot) {
                $entry = $snapshot->entry;
                if (!($entry instanceof Control)) {
                    continue;
                }
                $direct = in_array($control, $entry->speaks, true);
                $reach = $direct ? self::reach($entry->sets, $colour) : self::NOT;
                // An assistant that reads a hub sets no more than the hub's app does.
                if ($entry->readsHub && $app !== self::NOT) {
                    $reach = self::better($reach, self::reach($entry->sets, $colour) === self::ALL ? $app : self::DIMS);
                }
                if ($reach !== self::NOT && self::better($best[0], $reach) !== $best[0]) {
                    $best = [$reach, self::words($reach, $entry->name(), $colour)];
                }
            }
            $rows[] = new OptionReach(kind: $kind, label: $label, reach: $best[0], text: $best[1]);
        }

        return $rows;
    }

    /** @return array<string, string> short names by kind */
    private static function compared(): array
    {
        $compared = array_filter(Kinds::beside(), static fn(Beside $b): bool => $b->compared > 0);
        uasort($compared, static fn(Beside $a, Beside $b): int => $a->compared <=> $b->compared);

        return array_map(static fn(Beside $b): string => $b->called, $compared);
    }

    /** @param  list<string>  $sets */
    private static function reach(array $sets, string $colour): string
    {
        if (in_array($colour, $sets, true)) {
            return self::ALL;
        }
        if (in_array('single', $sets, true)) {
            return self::DIMS;
        }

        return self::NOT;
    }

    private static function better(string $a, string $b): string
    {
        if (self::RANK[$b] > self::RANK[$a]) {
            return $b;
        }

        return $a;
    }

    private static function words(string $reach, string $name, string $colour): string
    {
        return match ($reach) {
            self::ALL => $colour === 'single' ? "dims: {$name}" : 'sets ' . Facts::way($colour) . ": {$name}",
            self::DIMS => "on, off and dimming only: {$name} does not set " . Facts::way($colour),
            default => "cannot: {$name}",
        };
    }
}
