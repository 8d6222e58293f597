<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Unit;
use EmberDusk\Kit\ControlWay;
use EmberDusk\Reach\Graph;
use EmberDusk\Reach\PathLoss;

/** Whether the devices of one way of control hear each other where they stand: links, hops, nodes whose loss cuts others off, where one more helps. */
final readonly class RadioReach
{
    /**
     * @param  string  $way  of control
     * @param  string  $from  hub, or phone's first node
     * @param  list<RadioLink>  $links
     * @param  array<string, int>  $hops  by device that is reached
     * @param  list<string>  $lost  devices that are not reached
     * @param  list<string>  $cuts  devices whose loss loses others
     * @param  HelpingNode|null  $help  the one that reaches the most more; null where none is missing or none helps
     * @param  HelpingNode|null  $steady  the one that leaves the fewest whose loss loses others; null where none helps
     * @param  list<string>  $guessed devices without a measured position
     */
    private function __construct(
        public string $way,
        public string $from,
        public array $links,
        public array $hops,
        public array $lost,
        public array $cuts,
        public ?HelpingNode $help,
        public ?HelpingNode $steady,
        public array $guessed,
    ) {}

    /** @return list<self> one for each way that forms a mesh or a star here */
    public static function for(Roster $roster): array
    {
        $all = [];
        foreach (['zigbee', 'mesh', 'rf'] as $way) {
            $units = array_filter(
                $roster->units,
                static fn(Unit $u): bool => $u->way === $way && $u->role !== Unit::PHONE,
            );
            $lights = array_filter($units, static fn(Unit $u): bool => $u->lights());
            if ($lights === []) {
                continue;
            }
            $hubs = array_filter($units, static fn(Unit $u): bool => $u->role === Unit::HUB);
            $all[] = self::way($way, (string) array_key_first($hubs === [] ? $lights : $hubs), $units, $roster);
        }

        return $all;
    }

    /** @return list<string> in words */
    public function lines(Roster $roster): array
    {
        $label = static fn(string $id): string => $roster->unit($id)->called();
        $lines = [$this->title() . ", from {$label($this->from)}:"];
        foreach ($this->hops as $id => $hops) {
            if ($id !== $this->from) {
                $lines[] = "  {$label((string) $id)}: {$hops} " . ($hops === 1 ? 'hop' : 'hops');
            }
        }
        foreach ($this->lost as $id) {
            $lines[] = "  {$label($id)} is not reached";
        }
        foreach ($this->cuts as $id) {
            $lines[] = "  without {$label($id)} others are cut off";
        }
        if ($this->help !== null) {
            [$near, $far, $more] = [$this->help->one, $this->help->other, $this->help->count];
            $lines[] = "  one more node half way between {$label($near)} and {$label($far)} reaches {$more} more";
        }
        if ($this->steady !== null) {
            [$one, $other, $left] = [$this->steady->one, $this->steady->other, $this->steady->count];
            $lines[] =
                "  one more node half way between {$label($one)} and {$label($other)} leaves " .
                ($left === 0 ? 'none' : $left) .
                ' whose loss loses others';
        }
        if ($this->guessed !== []) {
            $lines[] = '  places without measurements: ' . implode(', ', array_map($label, $this->guessed));
        }
        $lines[] = sprintf('  predicted, %g dB margin; tested on site at Join', PathLoss::MARGIN);

        return $lines;
    }

    public function title(): string
    {
        return ControlWay::tryFrom($this->way)?->word() ?? $this->way;
    }

    /** @param  array<string, Unit>  $units */
    private static function way(string $way, string $from, array $units, Roster $roster): self
    {
        // A battery-powered sleeping device relays nothing; a star of 2.4 GHz remotes has no relays.
        $ends = array_keys(
            array_filter(
                $units,
                static fn(Unit $u): bool => $u->role === Unit::REMOTE || ($way === 'rf' && $u->id !== $from),
            ),
        );
        $ids = array_keys($units);
        $links = [];
        $hears = array_fill_keys($ids, []);
        foreach ($ids as $n => $a) {
            foreach (array_slice($ids, $n + 1) as $b) {
                $spare = PathLoss::spare($roster->metres($a, $b), $roster->floors($a, $b));
                if ($spare >= PathLoss::MARGIN) {
                    $links[] = new RadioLink($a, $b, round($spare, 1));
                    $hears[$a][] = $b;
                    $hears[$b][] = $a;
                }
            }
        }
        $graph = new Graph($hears);
        $hops = $graph->hops($from, $ends);
        $lost = array_values(array_diff($ids, array_keys($hops)));

        $more = new OneMore($roster, $hears, $ends);
        $cuts = $way !== 'rf' ? self::cuts($hears, $ends) : [];

        $help = $lost !== [] && $way !== 'rf' ? $more->reaching($from, $hops, $lost) : null;
        $steady =
            $lost === [] ? $more->steadying($cuts, static fn(array $then): array => self::cuts($then, $ends)) : null;

        return new self(
            way: $way,
            from: $from,
            links: $links,
            hops: $hops,
            lost: $lost,
            cuts: $cuts,
            help: $help,
            steady: $steady,
            guessed: array_keys(array_filter($units, static fn(Unit $u): bool => $u->at === null)),
        );
    }

    /**
     * Relays whose loss cuts off others. A device that does not relay cuts off no one, but needs the node that it is linked to.
     *
     * @param  array<string, list<string>>  $hears
     * @param  list<string>  $ends
     * @return list<string>
     */
    private static function cuts(array $hears, array $ends): array
    {
        $passing = array_map(
            static fn(array $others): array => array_values(array_diff($others, $ends)),
            array_diff_key($hears, array_flip($ends)),
        );
        $cuts = (new Graph($passing))->cuts();
        foreach ($ends as $end) {
            $held = array_values(array_diff($hears[$end] ?? [], $ends));
            if (count($held) === 1) {
                $cuts = [...$cuts, ...$held];
            }
        }
        $cuts = array_values(array_unique($cuts));
        sort($cuts, SORT_NATURAL);

        return $cuts;
    }
}
