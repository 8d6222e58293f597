<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Kit\Profiles\Behaviour;
use EmberDusk\Plan\Source;
use EmberDusk\Values\Copies;

/** One device that takes part in joining: role, behaviour, place and power source. */
final readonly class Unit
{
    use Copies;

    public const LIGHT = 'light';

    public const BOARD = 'board';

    /** Load of a dimming module. */
    public const LAMPS = 'lamps';

    public const REMOTE = 'remote';

    public const PANEL = 'panel';

    public const HUB = 'hub';

    public const BRIDGE = 'bridge';

    public const ASSISTANT = 'assistant';

    public const PHONE = 'phone';

    /** Metres from remote to controller where the instructions say nothing (common practice, no source). */
    public const NEAR = 0.1;

    /** Metres at which a hand may hold what links: on it, and too far off by two hands or an arm. */
    public const HELD = [
        ['words' => 'touching it', 'metres' => 0.05],
        ['words' => 'two hands off', 'metres' => 0.2],
        ['words' => 'at arm’s length', 'metres' => 0.6],
    ];

    /**
     * @param  string  $name  what people call it: the run that it lights, or its kind
     * @param  string  $role  one of the above
     * @param  string  $family  key of the family that knows its behaviour
     * @param  string  $way  its way of control, as on the shelf
     * @param  array{float, float}|null  $at metres in its place; null until measured
     * @param  string  $switch  what switches its power: units with the same one go on and off together; empty for batteries and plugs
     * @param  string  $kind  of light
     * @param  list<string>  $sets  kinds of light that it can set
     * @param  list<string>  $speaks  ways of control that it speaks
     * @param  int  $zones  of a remote, a panel or a bridge
     * @param  int|null  $most  lights that it can hold; null without a known limit
     * @param  bool  $used  it was in use before: it may belong to another network
     * @param  bool  $fixed  a panel that is on its wall already: it cannot be carried
     * @param  string  $item  id that it has in the plan
     * @param  string  $member  the network in which it is already, and stays
     * @param  int|null  $floor 0 is the ground floor; null if unknown
     * @param  Source  $source  where it takes its power from
     * @param  string  $returns planned power-on behaviour as text
     * @param  string  $enters  numbers to enter in a pixel board, as text; empty for other units
     * @param  string  $load  of a light: its strip or its lamps
     * @param  bool  $hasSwitch  whether a switch or jumper sets its kind of light
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $role,
        public string $family,
        public string $way,
        public Behaviour $leaflet = new Behaviour(),
        public string $place = '',
        public ?array $at = null,
        public string $switch = '',
        public string $kind = '',
        public array $sets = [],
        public array $speaks = [],
        public int $zones = 0,
        public ?int $most = null,
        public bool $used = false,
        public bool $fixed = false,
        public string $room = '',
        public string $item = '',
        public string $member = '',
        public ?int $floor = null,
        public string $returns = '',
        public Source $source = Source::Mains,
        public string $enters = '',
        public string $load = 'strip',
        public bool $hasSwitch = true,
    ) {}

    /** Whether its load answers, as a question. */
    public function asks(): string
    {
        $load = "the {$this->load} of " . mb_strtolower($this->name);

        return $this->load === self::LAMPS ? "do {$load} answer?" : "does {$load} answer?";
    }

    /** That its load changes, as text. */
    public function changes(): string
    {
        return "the {$this->load} of {$this->called()} " . ($this->load === self::LAMPS ? 'change' : 'changes');
    }

    public function used(): self
    {
        return $this->withChanged(used: true);
    }

    /** As it comes out of its box. */
    public function fresh(): self
    {
        return $this->withChanged(used: false);
    }

    public function returning(string $returns): self
    {
        return $this->withChanged(returns: $returns);
    }

    public function poweredBy(Source $source): self
    {
        return $this->withChanged(source: $source);
    }

    /** With other instructions. */
    public function with(Behaviour $leaflet): self
    {
        return $this->withChanged(leaflet: $leaflet);
    }

    /** A panel that is on its wall already. */
    public function fixed(): self
    {
        return $this->withChanged(fixed: true);
    }

    public function onFloor(?int $floor): self
    {
        return $this->withChanged(floor: $floor);
    }

    public function memberOf(string $network): self
    {
        return $this->withChanged(member: $network);
    }

    /** Whether this control can set whites or colours of a kind of light; a phone with direct control can. */
    public function can(Ability $ability, string $kind): bool
    {
        if ($this->role === self::PHONE) {
            return true;
        }
        $sets = $kind === 'pixels' ? ['rgb', 'rgbw'] : [$kind];

        return array_intersect($sets, $this->sets) !== [] && !in_array($ability->value, $this->leaflet->lacks, true);
    }

    /** Whether it can store scenes: an app that does not lack them, a remote or a panel with presets. */
    public function keepsScenes(): bool
    {
        $presets = $this->leaflet->figure('presets');
        if (in_array($this->role, [self::REMOTE, self::PANEL], true)) {
            return $presets !== null && $presets > 0;
        }

        return !in_array(Ability::Scene->value, $this->leaflet->lacks, true);
    }

    /** As it is on the label: C1. */
    public function label(): string
    {
        return strtoupper($this->id);
    }

    /** Whether it drives a load. */
    public function lights(): bool
    {
        return in_array($this->role, [self::LIGHT, self::BOARD], true);
    }

    /** Whether it is held to the light that it shall work. */
    public function linksByHand(): bool
    {
        return in_array($this->role, [self::REMOTE, self::PANEL], true);
    }

    /** Such as “C1, cove”. */
    public function called(): string
    {
        if ($this->name === '') {
            return $this->label();
        }

        return $this->label() . ', ' . mb_strtolower($this->name);
    }
}
