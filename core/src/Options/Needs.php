<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Kit\Control;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Entry;
use EmberDusk\Kit\Hub;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Changes\Kit\SetOptions;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Requirement;
use EmberDusk\Plan\Run;
use EmberDusk\Values\ChangePayload;

/** Three questions before any kit is chosen: colour of the light, control, use. Suitable options are taken from the shelf. */
final readonly class Needs
{
    private const COLOURS = [
        'single' => 'white',
        'tunable' => 'warm to cool white',
        'rgbw' => 'colours and white',
        'pixels' => 'moving colours',
    ];

    private const LIGHTS = ['room' => 'main light', 'mood' => 'accent light'];

    /** Rows of {@see ControlReach} for each answer. */
    private const WORKED = [
        'remote' => ['remote'],
        'panel' => ['panel'],
        'phone' => [ControlReach::APP, 'phone'],
        'assistant' => ['assistant'],
    ];

    private const WORDS = [
        'remote' => 'a remote',
        'panel' => 'a wall panel',
        'phone' => 'a phone',
        'assistant' => 'voice',
    ];

    /** Volts of strip, in the order in which they are offered. */
    private const VOLTS = [24.0, 12.0, 5.0];

    /** Options for one set of answers. */
    private const MOST = 4;

    private const WAYS = 2;

    public function __construct(private Plan $plan, private Run $run, private ShelfSource $shelf) {}

    /** @return list<OptionQuestion> */
    public static function questions(): array
    {
        return [
            self::question('colour', 'Light', self::COLOURS),
            self::question('by', 'Worked by', self::WORDS),
            self::question('light', 'Used as', self::LIGHTS),
        ];
    }

    /** @return list<NeedSet> one for each combination of answers */
    public function sets(): array
    {
        $sets = [];
        foreach (array_keys(self::COLOURS) as $colour) {
            foreach (array_keys(self::WORKED) as $by) {
                $ways = $this->ways($colour, $by);
                foreach (array_keys(self::LIGHTS) as $light) {
                    $sets[] = $this->set($colour, $by, $light, $ways);
                }
            }
        }

        return $sets;
    }

    /** @param  list<string>  $ways */
    private function set(string $colour, string $by, string $light, array $ways): NeedSet
    {
        $volts = $this->volts($colour, $light);
        $none = match (true) {
            $volts === [] => 'The shelf has no strip for ' .
                self::COLOURS[$colour] .
                ' as ' .
                self::LIGHTS[$light] .
                '.',
            $ways === [] => 'Nothing on the shelf works ' .
                self::COLOURS[$colour] .
                ' by ' .
                self::WORDS[$by] .
                '. Add a control on the shelf, or choose another.',
            default => '',
        };

        return new NeedSet(
            colour: $colour,
            by: $by,
            light: $light,
            set: $none === '' ? $this->change($colour, $by, $light, $ways, $volts) : null,
            none: $none,
        );
    }

    /**
     * @param  list<string>  $ways
     * @param  list<float>  $volts
     */
    private function change(string $colour, string $by, string $light, array $ways, array $volts): ChangePayload
    {
        $options = [];
        foreach (array_slice($ways, 0, self::WAYS) as $way) {
            $driven = array_filter($volts, fn(float $of): bool => $this->drives($way, $colour, $of));
            // Where the shelf drives none of them, the option says what is missing.
            foreach ($driven === [] ? $volts : $driven as $of) {
                $options[] = new Requirement(
                    id: '',
                    run: $this->run->id,
                    volts: $of,
                    light: $light,
                    colour: $colour,
                    controllers: 0,
                    control: $way,
                    source: $this->plan->owned === [] ? 'shelf' : 'owned',
                    by: $by,
                );
            }
        }

        return SetOptions::payload($this->run->id, array_slice($options, 0, self::MOST));
    }

    /** Whether a board or a controller of the shelf speaks a way of control at these volts. */
    private function drives(string $way, string $colour, float $volts): bool
    {
        foreach ($this->shelf->ofKind($colour === 'pixels' ? 'board' : 'controller') as $kit) {
            $unit = $kit->entry;
            if (
                $unit instanceof Controller &&
                $unit->family === $way &&
                $unit->pixels?->trial !== true &&
                $unit->inputLeast <= $volts &&
                $unit->inputMost >= $volts
            ) {
                return true;
            }
        }

        return false;
    }

    /** @return list<float> of suitable strips on the shelf */
    private function volts(string $colour, string $light): array
    {
        $there = [];
        foreach ([...$this->shelf->ofKind('strip'), ...$this->shelf->ofKind('pixels')] as $kit) {
            if ($kit->entry instanceof Strip && Fulfilment::suits($kit->entry, $colour, $light)) {
                $there[sprintf('%g', $kit->entry->volts)] = true;
            }
        }

        return array_values(array_filter(self::VOLTS, static fn(float $v): bool => isset($there[sprintf('%g', $v)])));
    }

    /** @return list<string> ways of control that set the colour, then those that only dim it */
    private function ways(string $colour, string $by): array
    {
        $ways = [];
        foreach ($colour === 'pixels' ? $this->boards() : Requirement::CONTROLS as $way) {
            $best = 0;
            foreach ($this->reach($way, $colour) as $reach) {
                if (in_array($reach->kind, self::WORKED[$by], true)) {
                    $best = max($best, ControlReach::RANK[$reach->reach]);
                }
            }
            if ($best > 0 && $this->powered($way, $by)) {
                $ways[$way] = $best;
            }
        }
        // Ways alike stay in their order.
        arsort($ways);

        return array_map(strval(...), array_keys($ways));
    }

    /** Whether a control of that kind has power here: a panel for the mains has none on a boat. */
    private function powered(string $way, string $by): bool
    {
        $controls = array_filter(
            array_column($this->shelf->ofKind($by), 'entry'),
            static fn(Entry $e): bool => $e instanceof Control && in_array($way, $e->speaks, true),
        );
        $needs = array_filter($controls, static fn(Control $c): bool => $c->mains);

        return $controls === [] || count($needs) < count($controls) || !$this->plan->power()->withoutMains($this->run);
    }

    /** @return list<string> ways of control of the pixel boards on the shelf */
    private function boards(): array
    {
        $families = [];
        foreach ($this->shelf->ofKind('board') as $kit) {
            if ($kit->entry instanceof Controller && $kit->entry->pixels?->trial === false) {
                $families[] = $kit->entry->family;
            }
        }

        return array_values(array_intersect(Requirement::CONTROLS, $families));
    }

    /** @return list<OptionReach> with a hub of the shelf where the job has none that speaks it */
    private function reach(string $way, string $colour): array
    {
        $hubs = array_filter(
            $this->shelf->ofKind('hub'),
            static fn(KitSnapshot $h): bool => $h->entry instanceof Hub &&
                in_array($way, $h->entry->speaks, true) &&
                in_array($colour, $h->entry->sets, true),
        );
        $there = $this->plan->hub(array_key_first($this->plan->hubs));

        return ControlReach::for(
            plan: $this->plan,
            taken: $there !== null && in_array($way, $there->speaks, true) ? null : array_values($hubs)[0] ?? null,
            control: $way,
            colour: $colour,
            shelf: $this->shelf,
        );
    }

    /** @param  array<string, string>  $words */
    private static function question(string $key, string $label, array $words): OptionQuestion
    {
        return new OptionQuestion(
            $key,
            $label,
            array_map(
                static fn(string $v, string $w): OptionChoice => new OptionChoice($v, $w),
                array_keys($words),
                array_values($words),
            ),
        );
    }
}
