<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Profiles\Behaviour;

/**
 * A dimming controller with switched returns, a repeater, or a pixel board, which passes + and - on and sends data: its limits, its resistances, how
 * it resets and joins.
 */
final readonly class Controller implements Entry
{
    /** Settings to make before power-on. */
    private const SET_BY_HAND = ['switch', 'jumper'];

    private const MODES = ['single', 'tunable', 'rgb', 'rgbw', 'rgbcct'];

    /**
     * @param  float  $commonOhms  from the supply's + to the common output
     * @param  Behaviour|null  $profile how it resets and joins; null without instructions, and for units that do not join
     * @param  string  $family  its way of control
     * @param  list<string>  $modes  kinds of light that it can drive
     * @param  string  $setBy  what tells it which: none, switch, jumper or app
     * @param  string  $setting  how, in its instructions's words
     * @param  bool  $repeats  whether it copies the channels of a strip that it continues, from its own supply
     * @param  bool  $groundsApart  whether its input is parted from its supply
     * @param  bool  $sharesChannels  whether its duties add up to one at full
     * @param  string  $switches  side of a channel that it switches: minus or plus
     * @param  PixelOutputs|null  $pixels  data outputs of a board; null for controllers of channels
     * @param  float  $channelOhms  from a channel's output to the supply's minus, when on
     */
    public function __construct(
        private string $id,
        private string $name,
        public int $channels,
        public float $channelAmps,
        public float $totalAmps,
        public float $inputLeast,
        public float $inputMost,
        public float $commonOhms,
        public float $channelOhms,
        public float $standbyAmps,
        public ?Behaviour $profile,
        public string $family = 'zigbee',
        public array $modes = self::MODES,
        public string $setBy = 'none',
        public string $setting = '',
        public bool $repeats = false,
        public bool $groundsApart = true,
        public bool $sharesChannels = false,
        public string $switches = 'minus',
        public ?PixelOutputs $pixels = null,
    ) {}

    /** Ohm of a board's terminals, from its input to a strip, each pole (common practice, no source). */
    public const TERMINAL_OHMS = 0.01;

    /** Ohm of a repeater's input, from + to each channel (docs/model.md 3). */
    public const INPUT_OHMS = 10_000.0;

    public static function read(Fields $f): self
    {
        if ($f->string('kind') === 'board') {
            return self::board($f);
        }
        if ($f->string('kind') === 'repeater') {
            return new self(
                id: $f->string('id'),
                name: $f->string('name'),
                channels: $f->whole('channels', 1, 6),
                channelAmps: $f->number('channelAmps', 0.01, 100),
                totalAmps: $f->number('totalAmps', 0.01, 200),
                inputLeast: $f->number('inputLeast', 3, 60),
                inputMost: $f->number('inputMost', 3, 60),
                commonOhms: $f->number('commonOhms', 1e-4, 1),
                channelOhms: $f->number('channelOhms', 1e-4, 1),
                standbyAmps: 0.0,
                profile: null,
                family: 'none',
                repeats: true,
                switches: $f->stringOrNull('switches') ?? 'minus',
                groundsApart: !$f->has('groundsApart') || $f->flag('groundsApart'),
            );
        }

        return new self(
            id: $f->string('id'),
            name: $f->string('name'),
            channels: $f->whole('channels', 1, 6),
            channelAmps: $f->number('channelAmps', 0.01, 100),
            totalAmps: $f->number('totalAmps', 0.01, 200),
            inputLeast: $f->number('inputLeast', 3, 60),
            inputMost: $f->number('inputMost', 3, 60),
            commonOhms: $f->number('commonOhms', 1e-4, 1),
            channelOhms: $f->number('channelOhms', 1e-4, 1),
            standbyAmps: $f->number('standbyAmps', 0, 0.5),
            profile: $f->maybe('profile', Behaviour::read(...)),
            family: $f->stringOrNull('family') ?? 'zigbee',
            modes: $f->stringsOr('modes', self::MODES),
            setBy: $f->stringOrNull('setBy') ?? 'none',
            setting: $f->stringOrNull('setting') ?? '',
            sharesChannels: $f->has('sharesChannels') && $f->flag('sharesChannels'),
            switches: $f->stringOrNull('switches') ?? 'minus',
        );
    }

    private static function board(Fields $f): self
    {
        return new self(
            id: $f->string('id'),
            name: $f->string('name'),
            channels: 0,
            channelAmps: $f->number('totalAmps', 0.01, 200),
            totalAmps: $f->number('totalAmps', 0.01, 200),
            inputLeast: $f->number('inputLeast', 3, 60),
            inputMost: $f->number('inputMost', 3, 60),
            commonOhms: self::TERMINAL_OHMS,
            channelOhms: self::TERMINAL_OHMS,
            standbyAmps: $f->number('standbyAmps', 0, 2),
            profile: $f->maybe('profile', Behaviour::read(...)),
            family: $f->stringOrNull('family') ?? 'wifi',
            modes: ['pixels'],
            setting: $f->stringOrNull('jumpers') ?? '',
            pixels: new PixelOutputs(
                count: $f->whole('outputs', 1, 64),
                each: $f->whole('pixelsPerOutput', 1, 100_000),
                protected: !$f->has('fused') || $f->flag('fused'),
                trial: $f->has('trial') && $f->flag('trial'),
                firmware: $f->has('firmware') && $f->flag('firmware'),
            ),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }

    /** Whether it is reset and joined to anything: a repeater only copies. */
    public function joins(): bool
    {
        return !$this->repeats;
    }

    /** Whether a switch or a jumper tells it the kind of light. */
    public function setByHand(): bool
    {
        return in_array($this->setBy, self::SET_BY_HAND, true);
    }

    /** Whether jumpers of a board are set before it is connected. */
    public function hasJumpers(): bool
    {
        return $this->pixels !== null && $this->setting !== '';
    }

    /** @return list<string> what is set or loaded before it is mounted */
    public function settings(): array
    {
        return array_values(
            array_filter([
                $this->hasJumpers() ? 'set its jumpers' : '',
                $this->setByHand() ? "set its {$this->setBy}" : '',
                $this->pixels?->firmware === true ? 'load its firmware' : '',
            ]),
        );
    }

    /** Ohms inside for the amps of so many channels together. */
    public function inside(int $channels): float
    {
        return $this->commonOhms + $this->channelOhms / $channels;
    }

    /** Amps that it bears on so many equal channels together. */
    public function bears(int $channels): float
    {
        return min($this->totalAmps, $this->channelAmps * $channels);
    }

    /** Rated watts at the given volts, from its total amps. */
    public function wattsAt(float $volts): float
    {
        return $this->totalAmps * $volts;
    }
}
