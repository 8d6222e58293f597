<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Values\InvalidInput;

/** Later events of a job, with recovery steps: derived by the order of the first join from the remaining and new devices. */
final readonly class Recovery
{
    public const PHONE = 'phone';

    public const ROUTER = 'router';

    public const ADDRESS = 'address';

    public const HUB = 'hub';

    public const CONTROLLER = 'controller';

    /** The network of the site, which a board holds since its first join. */
    private const SITE = 'site';

    /** A board's router has given it another address. */
    private const MOVED = 'new-address';

    /**
     * @param  string  $what  one of the above
     * @param  string  $says  what need not be done
     * @param  list<Flaw>  $flaws changed states of the devices
     * @param  string  $device  the hub or controller that is replaced; empty for the others
     */
    private function __construct(
        public string $what,
        public string $title,
        public string $says,
        public Roster $roster,
        public array $flaws = [],
        public string $device = '',
    ) {}

    /** Key within a job, such as “phone” and “controller c1”. */
    public function key(): string
    {
        return trim("{$this->what} {$this->device}");
    }

    /**
     * The event of that key, where it leaves something to do.
     *
     * @throws InvalidInput
     */
    public static function get(Roster $roster, string $key): self
    {
        foreach (self::all($roster) as $recovery) {
            if ($recovery->key() === $key && $recovery->roster->wants !== []) {
                return $recovery;
            }
        }

        throw InvalidInput::unknown('/recovery', 'event with recovery steps', $key);
    }

    /** @return list<self> possible events for these devices; each has steps */
    public static function all(Roster $roster): array
    {
        $all = [self::phone($roster), self::router($roster), self::address($roster), ...self::hubs($roster)];
        foreach ($roster->units as $unit) {
            if ($unit->lights()) {
                $all[] = self::controller($roster, $unit);
            }
        }

        // The person who has lost a phone looks for it here, whether anything has to be done or not.
        return array_values(
            array_filter(
                $all,
                static fn(self $r): bool => $r->roster->wants !== [] ||
                    in_array($r->what, [self::PHONE, self::ROUTER], true),
            ),
        );
    }

    /** The recovery, rehearsed on simulated devices: all affected controls are tested at its end. */
    public function rehearsed(int $seed = 1): Rehearsal
    {
        return Rehearsal::run($this->roster, $seed, $this->flaws);
    }

    /** @return list<string> steps in order; none if nothing is needed */
    public function steps(): array
    {
        if ($this->roster->wants === []) {
            return [];
        }
        $words = new Instructions($this->roster);
        $steps = [];
        $last = '';
        foreach ($this->rehearsed()->trail as [, $step]) {
            if ($step->look !== Look::Try) {
                $text = $words->text($step);
                $steps[] = $text === $last ? 'Repeat the last step once.' : $text;
                $last = $text;
            }
        }

        return [...$steps, 'Test every control: on, off, 10 %, 80 %.'];
    }

    private static function phone(Roster $roster): self
    {
        // Settings stored in one phone are lost with it; units that work with any phone only need their app and account.
        $gone = static fn(ControlledLight $w): bool => $w->control === Roster::PHONE ||
            Families::say($roster->unit($w->control), FamilyFact::OnePhone);
        $reset = array_column(array_filter($roster->wants, $gone), 'light');

        $kept = array_filter(
            $roster->inRole(Unit::HUB) + $roster->inRole(Unit::BRIDGE),
            static fn(Unit $u): bool => !Families::say($u, FamilyFact::OnePhone),
        );
        $label = static fn(string $id): string => $roster->unit($id)->label();
        $says = [
            $kept === []
                ? ''
                : implode(', ', array_map($label, array_keys($kept))) .
                    ': install the app on the new phone and sign in with the client’s account; what it holds stays joined.',
            $reset === []
                ? ''
                : implode(', ', array_map($label, array_values(array_unique($reset)))) .
                    ': only the lost phone knew them. They are joined again.',
        ];

        return new self(
            self::PHONE,
            'The phone is lost',
            trim(implode(' ', $says)) ?:
            'Install the app of each light on the new phone; remotes and panels go on working.',
            self::with(
                $roster,
                // A light that is reset has lost its remotes and panels as well.
                static fn(ControlledLight $w): bool => $gone($w) || in_array($w->light, $reset, true),
                self::lightsUsed($roster),
            ),
        );
    }

    private static function router(Roster $roster): self
    {
        $moved = $roster->with(FamilyFact::SiteNetwork);

        return new self(
            self::ROUTER,
            'A new router, or a new network name or password',
            'What is joined by Zigbee, Bluetooth or 2.4 GHz stays joined' .
                ($roster->inRole(Unit::HUB) === [] ? '.' : '; a hub on a cable finds the new router by itself.'),
            self::with(
                $roster,
                static fn(ControlledLight $w): bool => isset($moved[$w->light]) || isset($moved[$w->control]),
                [],
            ),
        );
    }

    private static function address(Roster $roster): self
    {
        $units = $roster->units;
        $boards = array_keys($roster->inRole(Unit::BOARD));
        foreach ($boards as $board) {
            // Its network and settings are stored in it.
            $units[$board] = $units[$board]->memberOf(self::SITE);
        }
        $roster = new Roster($units, $roster->wants, $roster->school);

        return new self(
            self::ADDRESS,
            'The page of a board no longer opens',
            'It is on, and its network is: the router has given it another address, often after days without power.',
            self::with($roster, static fn(ControlledLight $w): bool => in_array($w->light, $boards, true), []),
            array_map(static fn(string $b): Flaw => new Flaw(self::MOVED, $b), $boards),
        );
    }

    /** @return list<self> */
    private static function hubs(Roster $roster): array
    {
        $all = [];
        foreach ($roster->inRole(Unit::HUB) as $hub) {
            $lights = array_map(static fn(ControlledLight $w): string => $w->light, $roster->wantsOf($hub->id));
            $all[] = new self(
                self::HUB,
                "{$hub->called()} is replaced",
                'Another kind of hub: choose it at Kit first. Create entries, names, rooms and scenes again in its app; other lights are not affected.',
                self::with(
                    $roster,
                    static fn(ControlledLight $w): bool => in_array($w->light, $lights, true),
                    // Lights, remotes and panels belong to the old one's network.
                    [
                        ...self::lightsUsed($roster),
                        ...array_keys($roster->inRole(Unit::REMOTE) + $roster->inRole(Unit::PANEL)),
                    ],
                ),
                device: $hub->id,
            );
        }

        return $all;
    }

    private static function controller(Roster $roster, Unit $light): self
    {
        $units = $roster->units;
        foreach ($roster->wants as $want) {
            $control = $roster->unit($want->control);
            if ($want->light === $light->id && $control->linksByHand()) {
                // It stays in the network in which it is, with all its other links.
                $units[$control->id] = $control->memberOf(self::network($roster, $control));
            }
        }

        // Only an app has an entry to delete.
        $app = array_filter(
            $roster->wants,
            static fn(ControlledLight $w): bool => $w->light === $light->id &&
                !$roster->unit($w->control)->linksByHand(),
        );

        return new self(
            self::CONTROLLER,
            "{$light->called()} is replaced",
            ($app === [] ? '' : 'Delete its old entry in the app first. ') .
                'Do not reset remotes and panels: they keep their network and their other lights.',
            self::with(
                new Roster($units, $roster->wants, $roster->school),
                static fn(ControlledLight $w): bool => $w->light === $light->id,
                [],
            ),
            device: $light->id,
        );
    }

    /** The hub in whose network a remote is; its own where there is none. */
    private static function network(Roster $roster, Unit $control): string
    {
        foreach ($roster->inRole(Unit::HUB) as $hub) {
            foreach ($roster->wantsOf($control->id) as $want) {
                if ($roster->wants($hub->id, $want->light)) {
                    return $hub->id;
                }
            }
        }

        return "own {$control->id}";
    }

    /** @return list<string> */
    private static function lightsUsed(Roster $roster): array
    {
        return array_keys(array_filter($roster->units, static fn(Unit $u): bool => $u->lights()));
    }

    /**
     * @param  callable(ControlledLight): bool  $concerns
     * @param  list<string>  $used units that still belong to the lost one
     */
    private static function with(Roster $roster, callable $concerns, array $used): Roster
    {
        $wants = array_values(array_filter($roster->wants, $concerns));
        $left = [Roster::PHONE => true];
        foreach ($wants as $want) {
            $left[$want->control] = $left[$want->light] = true;
        }
        $units = array_intersect_key($roster->units, $left);
        foreach ($units as $id => $unit) {
            $units[$id] = in_array($id, $used, true) ? $unit->used() : $unit->fresh();
        }
        $left = new Roster($units, $wants, new TimingMethod(proves: false));

        // The job is finished: its panels are on the walls.
        return $left->fixing(array_keys($left->inRole(Unit::PANEL)));
    }
}
