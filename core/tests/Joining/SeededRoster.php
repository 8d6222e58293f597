<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use EmberDusk\Kit\Profiles\Behaviour;
use EmberDusk\Kit\Profiles\Gesture;
use EmberDusk\Values\Dice;

/** Jobs with devices of all families, drawn by seed; every instructions's keys, presses, patterns and times are drawn within the schema's bounds. */
final class SeededRoster
{
    use SeededLeaflets;

    private Dice $dice;

    private int $draws = 0;

    /** @var array<string, Unit> */
    private array $units = [];

    /** @var list<ControlledLight> */
    private array $wants = [];

    private function __construct(int $seed)
    {
        $this->dice = new Dice($seed);
    }

    /**
     * @param  list<string>|null  $mix  families that it must have; null: drawn
     * @param  int|null  $lights  of each way of control; null: one to three
     */
    public static function of(int $seed, ?array $mix = null, ?TimingMethod $school = null, ?int $lights = null): Roster
    {
        $maker = new self($seed);
        $maker->units[Roster::PHONE] = new Unit(Roster::PHONE, 'Phone', Unit::PHONE, '', '');
        foreach ($mix ?? $maker->mix() as $family) {
            $maker->{$family}($lights ?? $maker->whole(1, 3));
        }
        ksort($maker->units, SORT_NATURAL);

        return new Roster($maker->units, $maker->wants, $school ?? new TimingMethod());
    }

    public const FAMILIES = ['zigbee', 'remoteonly', 'receiver', 'bridge', 'bluetooth', 'mesh', 'board', 'cloud'];

    /** @return list<string> */
    private function mix(): array
    {
        $mix = array_values(array_filter(self::FAMILIES, fn(): bool => $this->number(0, 1) < 0.4));

        return $mix === [] ? [self::FAMILIES[$this->whole(0, count(self::FAMILIES) - 1)]] : $mix;
    }

    private function light(string $family, string $way, Behaviour $leaflet, string $role = Unit::LIGHT): string
    {
        $n = count(array_filter($this->units, static fn(Unit $u): bool => $u->lights())) + 1;
        $id = $role === Unit::BOARD ? "b{$n}" : "c{$n}";
        $this->units[$id] = new Unit(
            id: $id,
            name: "Run {$n}",
            role: $role,
            family: $family,
            way: $way,
            leaflet: $leaflet,
            place: 'hall',
            at: [$this->number(0, 14), $this->number(0, 6)],
            switch: 's' . $this->whole(1, 3),
            kind: $role === Unit::BOARD ? 'rgb' : ['single', 'tunable', 'rgbw'][$this->whole(0, 2)],
            used: $this->number(0, 1) < 0.3,
            room: 'Hall',
        );

        return $id;
    }

    private function control(
        string $id,
        string $role,
        string $family,
        string $way,
        Behaviour $leaflet,
        int $zones = 0,
    ): string {
        $this->units[$id] = new Unit(
            id: $id,
            name: ucfirst($role),
            role: $role,
            family: $family,
            way: $way,
            leaflet: $leaflet,
            place: 'hall',
            at: [$this->number(0, 14), $this->number(0, 6)],
            speaks: [$way],
            zones: $zones,
            most: $role === Unit::HUB ? 40 : null,
            used: $this->number(0, 1) < 0.3,
            fixed: $role === Unit::PANEL && $this->number(0, 1) < 0.5,
        );

        return $id;
    }

    private function zigbee(int $lights): void
    {
        $hub = $this->control(
            'h1',
            Unit::HUB,
            'hub',
            'zigbee',
            new Behaviour(
                figures: ['search' => $this->number(40, 90), 'lagLeast' => 1.0, 'lagMost' => $this->number(3, 20)],
                numbering: 'Light #',
            ),
        );
        $controls = [$hub];
        if ($this->number(0, 1) < 0.6) {
            $controls[] = $this->control('r1', Unit::REMOTE, 'remote', 'zigbee', $this->remoteLeaflet(), 4);
        }
        if ($this->number(0, 1) < 0.4) {
            $controls[] = $this->control('p1', Unit::PANEL, 'remote', 'zigbee', $this->remoteLeaflet(), 4);
        }
        if ($this->number(0, 1) < 0.5) {
            $controls[] = $this->control(
                'a1',
                Unit::ASSISTANT,
                'assistant',
                'wifi',
                new Behaviour(figures: ['search' => 20.0]),
            );
        }
        $this->lights($lights, $controls, fn(): string => $this->light('zigbee', 'zigbee', $this->zigbeeLeaflet()));
    }

    private function remoteonly(int $lights): void
    {
        if (isset($this->units['r1'])) {
            return;
        }
        $remote = $this->control('r1', Unit::REMOTE, 'remote', 'zigbee', $this->remoteLeaflet(), 4);
        $this->lights($lights, [$remote], fn(): string => $this->light('zigbee', 'zigbee', $this->zigbeeLeaflet()));
    }

    /**
     * @param  list<string>  $controls
     * @param  callable(): string  $light
     */
    private function lights(int $count, array $controls, callable $light): void
    {
        for ($n = 0; $n < $count; $n++) {
            $id = $light();
            foreach ($controls as $control) {
                $zones = $this->units[$control]->zones;
                $this->wants[] = new ControlledLight($control, $id, $zones > 0 ? $n + 1 : 0);
            }
        }
    }

    private function receiver(int $lights): void
    {
        $hub = $this->control(
            'h2',
            Unit::HUB,
            'receiver',
            'rf',
            new Behaviour(figures: ['range' => 30.0], numbering: 'Device #'),
        );
        $this->lights($lights, [$hub], fn(): string => $this->light('receiver', 'rf', $this->receiverLeaflet()));
    }

    private function bridge(int $lights): void
    {
        $controls = [
            $this->control(
                'g1',
                Unit::BRIDGE,
                'bridge',
                'rf',
                new Behaviour(
                    gestures: ['reset' => Gesture::read('hold PIN 5'), 'join' => Gesture::read('press PIN')],
                    signals: ['resetDone' => $this->signal(), 'looks' => $this->signal(), 'joined' => $this->signal()],
                    figures: ['countdown' => $this->number(30, 90)],
                ),
                8,
            ),
        ];
        if ($this->number(0, 1) < 0.5) {
            $controls[] = $this->control(
                'r2',
                Unit::REMOTE,
                'bridge',
                'rf',
                new Behaviour(
                    gestures: ['link' => Gesture::read('press zone 3')],
                    signals: ['linked' => $this->signal()],
                ),
                8,
            );
        }
        $this->lights($lights, $controls, fn(): string => $this->light('receiver', 'rf', $this->receiverLeaflet()));
    }

    private function bluetooth(int $lights): void
    {
        $this->lights(
            $lights,
            [Roster::PHONE],
            fn(): string => $this->light(
                'bluetooth',
                'bluetooth',
                new Behaviour(
                    signals: ['waits' => $this->signal(), 'held' => $this->signal(), 'joined' => $this->signal()],
                ),
            ),
        );
    }

    private function mesh(int $lights): void
    {
        $controls = [Roster::PHONE];
        if ($this->number(0, 1) < 0.6) {
            $controls[] = $this->control(
                'r3',
                Unit::REMOTE,
                'meshremote',
                'mesh',
                new Behaviour(gestures: ['link' => Gesture::read('press zone 1')]),
                8,
            );
        }
        $this->lights(
            $lights,
            $controls,
            fn(): string => $this->light(
                'mesh',
                'mesh',
                new Behaviour(
                    gestures: ['reset' => $this->presses(5), 'join' => $this->presses(2)],
                    signals: ['resetDone' => $this->signal(), 'joined' => $this->signal(), 'linked' => $this->signal()],
                    figures: ['range' => $this->number(20, 30), 'linkListens' => $this->number(8, 20)],
                ),
            ),
        );
    }

    private function board(int $lights): void
    {
        $this->lights(
            $lights,
            [Roster::PHONE],
            fn(): string => $this->light('board', 'wifi', new Behaviour(), Unit::BOARD),
        );
    }

    private function cloud(int $lights): void
    {
        $this->lights(
            $lights,
            [Roster::PHONE],
            fn(): string => $this->light(
                'cloud',
                'wifi',
                new Behaviour(
                    gestures: ['reset' => $this->presses(4)],
                    signals: ['resetDone' => $this->signal(), 'joined' => $this->signal()],
                ),
            ),
        );
    }
}
