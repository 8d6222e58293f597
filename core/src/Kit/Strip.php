<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** Common-positive strip of resistor-limited groups: one rail for +, one return rail for each channel. */
final readonly class Strip implements Entry
{
    /** Diode slope n VT in volts when the entry has none (engineering practice, no source). */
    public const SLOPE = 0.05;

    public const MOST_CHANNELS = 6;

    /**
     * @param  float  $pitch  metres between cut marks
     * @param  int  $leds  in series in one group and channel; 0 is a plain resistor
     * @param  float  $ledVolts  forward volts of one LED at nominal current
     * @param  float  $plusRail  ohm per metre
     * @param  float  $returnRail  ohm per metre, each channel
     * @param  non-empty-list<Channel>  $channels
     * @param  string  $common  side that its channels share: plus or minus
     * @param  float|null  $railAmps rail rating for one feed, if in the instructions
     */
    public function __construct(
        private string $id,
        private string $name,
        public float $volts,
        public float $pitch,
        public int $leds,
        public float $ledVolts,
        public float $slope,
        public float $plusRail,
        public float $returnRail,
        public array $channels,
        public bool $copperRails = false,
        public ?PixelGroup $pixels = null,
        public ?float $railAmps = null,
        public string $common = 'plus',
    ) {}

    /** A pixel strip, as its supply sees it: + and - only, one current for all colours. */
    public static function ofPixels(Fields $f): self
    {
        $pixels = PixelGroup::read($f);
        $volts = $f->number('volts', 3, 60);
        $pitch = $f->number('pitch', 0.003, 2);
        $rails = Rails::read($f, 1, $pixels->turnOn);

        return new self(
            id: $f->string('id'),
            name: $f->string('name'),
            volts: $volts,
            pitch: $pitch,
            leds: 0,
            ledVolts: 0.0,
            slope: self::SLOPE,
            plusRail: $rails->plus,
            returnRail: $rails->return,
            channels: [new Channel('all colours', (($pixels->amps + $pixels->idle) * $volts) / $pitch, '#ffe9c8')],
            copperRails: $rails->copper,
            pixels: $pixels,
            railAmps: $f->numberOrNull('railAmps', 0.1, 100),
        );
    }

    public static function read(Fields $f): self
    {
        $channels = array_map(
            static fn(Fields $c): Channel => new Channel(
                $c->string('name', 40),
                $c->number('wattsPerMetre', 0.01, 200),
                $c->string('colour', 7),
                $c->numberOrNull('ledVolts', 0.5, 10),
            ),
            $f->objects('channels'),
        );
        if ($channels === [] || count($channels) > self::MOST_CHANNELS) {
            throw $f->invalid('channels', 'A strip has one to six channels.');
        }
        foreach ($channels as $n => $channel) {
            if (preg_match('/^#[0-9a-f]{6}$/i', $channel->colour) !== 1) {
                throw $f->invalid("channels/{$n}/colour", 'A colour is written #rrggbb, such as #ffb46b.');
            }
        }
        $leds = $f->whole('leds', 0, 20);
        $ledVolts = $f->number('ledVolts', 0, 10);
        $slope = $f->numberOr('slope', self::SLOPE, 0.02, 0.5);
        $rails = Rails::read($f, count($channels), $leds * ($ledVolts - $slope));
        $strip = new self(
            id: $f->string('id'),
            name: $f->string('name'),
            volts: $f->number('volts', 3, 60),
            pitch: $f->number('pitch', 0.005, 2),
            leds: $leds,
            ledVolts: $ledVolts,
            slope: $slope,
            plusRail: $rails->plus,
            returnRail: $rails->return,
            channels: $channels,
            copperRails: $rails->copper,
            railAmps: $f->numberOrNull('railAmps', 0.1, 100),
            common: $f->stringOrNull('common') ?? 'plus',
        );
        foreach ($channels as $n => $channel) {
            if ($strip->leds * ($channel->ledVolts ?? 0.0) >= $strip->volts) {
                throw $f->invalid(
                    "channels/{$n}/ledVolts",
                    sprintf(
                        '%d LEDs of %.2f V leave no voltage of %.1f V for the resistor.',
                        $strip->leds,
                        $channel->ledVolts ?? 0.0,
                        $strip->volts,
                    ),
                );
            }
        }
        if ($strip->leds * $strip->ledVolts >= $strip->volts) {
            throw $f->invalid(
                'ledVolts',
                sprintf(
                    '%d LEDs of %.2f V leave no voltage of %.1f V for the resistor: fewer LEDs or lower volts.',
                    $strip->leds,
                    $strip->ledVolts,
                    $strip->volts,
                ),
            );
        }

        return $strip;
    }

    /** Whether it is switched by a controller's channels; pixels switch themselves and are fed by the supply. */
    public function switched(): bool
    {
        return $this->pixels === null;
    }

    /** single, tunable, rgb, rgbw or rgbcct, by the number of its channels. */
    public function colours(): string
    {
        if ($this->pixels !== null) {
            return 'pixels';
        }

        return [1 => 'single', 2 => 'tunable', 3 => 'rgb', 4 => 'rgbw', 5 => 'rgbcct'][count($this->channels)] ??
            'rgbcct';
    }

    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }

    /** W/m with every channel on at nominal volts. */
    public function wattsPerMetre(): float
    {
        return array_sum(array_map(static fn(Channel $c): float => $c->wattsPerMetre, $this->channels));
    }

    /** Nominal amps of one group of a channel: (W/m) p / V. */
    public function nominalAmps(Channel $channel): float
    {
        return ($channel->wattsPerMetre * $this->pitch) / $this->volts;
    }
}
