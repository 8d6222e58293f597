<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Tests;

use EmberDusk\Plan\BoardSetting;
use EmberDusk\Plan\BoardSettings;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\SignalLead;
use EmberDusk\Plan\Run;
use EmberDusk\Values\IncompletePlan;

/**
 * Text of each test (common practice, no source). Dead test, bare ends, controller alone, strip, single channels, white, one mix; after the joints
 * again, with each feed disconnected, flicker, signal wires, and the soak test last.
 *
 * @phpstan-type Card array{title: string, asks: string, by: string, do: string, see: string, otherwise: string, caution: string}
 */
final readonly class TestCards
{
    private const OFF = 'Switch the supply off before you move a lead.';

    private const BATTERY = 'A battery can short and burn: its fuse out, tools insulated, posts covered.';

    private const MAINS = 'Extra-low volts only: mains terminals are for a licensed person, and local rules decide. Never connect strip to mains.';

    /** How each signal of a vehicle is given. */
    private const GIVEN = [
        'key' => 'turn the key on',
        'brake' => 'press the brake',
        'left' => 'indicate left',
        'right' => 'indicate right',
    ];

    public function __construct(private Plan $plan, private Run $run) {}

    /** @return list<string> tests of a step, in their order */
    public function keys(string $step): array
    {
        $strip = $this->plan->strip($this->run->strip);
        $switched = $strip?->switched() ?? true;
        $colours = count($strip->channels ?? []) > 1;
        if ($step === 'loose') {
            $alone = !$switched || $this->run->controller !== null ? ['alone'] : [];
            $shows = match (true) {
                !$switched => [
                    'pixels',
                    ...$this->plan->of($this->run)->matrix() === null ? [] : ['matrix'],
                    'white',
                    'mix',
                ],
                $colours => ['colours', 'white', 'mix'],
                default => ['white'],
            };

            return ['dead', 'ends', ...$alone, 'strip', ...$shows];
        }

        return [
            'again',
            ...$colours && $switched ? ['recoloured'] : [],
            'readings',
            ...count($this->plan->ways()->feedsOf($this->run)) > 1 ? ['feeds'] : [],
            'flicker',
            ...$this->signals(),
            'soak',
        ];
    }

    /** @return Card */
    public function for(string $key): array
    {
        $strip =
            $this->plan->strip($this->run->strip) ??
            throw IncompletePlan::at('/run', "Choose a strip for {$this->run->name()} first.");
        $volts = sprintf('%g V', $strip->volts);
        $supply = strtoupper((string) $this->run->supply);
        $battery = $this->plan->power()->onBattery($this->run);
        $safe = $battery ? self::BATTERY : self::MAINS;

        return match ($key) {
            'dead' => self::card(
                title: 'dead test',
                do: 'Supply disconnected: measure ohms from + to every return at the strip’s first pads. ' .
                    'Then first power, through a small fuse or a limited bench supply.',
                see: 'No short: some kilohms or more, both ways round. The small fuse stays intact.',
                otherwise: 'A few ohms is a short: a strand across two pads, solder between them, a screw through the strip.',
                caution: "Ohms only with no supply on it. {$safe}",
                by: Commander::Nothing->words(),
            ),
            'ends' => self::card(
                title: 'volts and polarity at the bare ends',
                do: "{$supply} on, its leads bare: measure + to - before you connect anything. " .
                    'A fused lead is mostly +, a strip’s black lead is often its common +: trust the meter and the pads, never the colour.',
                see: "{$volts} within 1 %, and not minus that.",
                otherwise: 'A minus sign: the leads are swapped. Too low or too high: ' .
                    'the supply is not the one that was planned, or is set wrong: it dims the strip, or burns it.',
                caution: "Keep bare ends apart, and tape them when you leave them. {$safe}",
                by: Commander::Nothing->words(),
                asks: 'read',
            ),
            'alone' => self::card(
                title: !$strip->switched() ? 'board alone' : 'controller alone',
                do: 'Power it with no strip on its outputs.',
                see: 'Its lamp lights; volts at its input as at the supply; hardly any amps.',
                otherwise: 'Dark: + and - swapped, or wrong volts. Warm at once: switch off.',
                caution: self::OFF,
                by: Commander::Itself->words(),
                asks: 'read',
            ),
            'strip' => self::card(
                title: 'strip loose in place',
                do: 'Lay out the strip (on its reel for a minute at most), connect it and switch on.',
                see: !$strip->switched()
                    ? 'Its first pixel lights; the arrow points away from the board.'
                    : 'It lights over its whole length: before joining mostly white, or as it was last.',
                otherwise: 'Dark from a place on: the joint before it. All dark: the common lead.',
                caution: self::OFF . ' A strip that is lit on its reel gets hot.',
                by: Commander::Itself->words(),
            ),
            'colours', 'recoloured' => self::card(
                title: $key === 'colours' ? 'colour by colour' : 'each colour again',
                do: 'Command one colour alone and enter what lights; the next colour is shown.',
                see: 'Each colour lights alone, over the whole run.',
                otherwise: 'No light: a loose lead. Another colour: swapped leads. ' .
                    'Two at once: leads that touch. Always the same light: the switch.',
                caution: self::OFF,
                asks: 'colours',
            ),
            'pixels' => self::card(
                title: 'one moving effect',
                do: 'Run one pixel along the whole run.',
                see: 'It passes over every piece, in the order of the arrows, and ends at the last pixel.',
                otherwise: 'It stops at the first pixel of a piece: data joint, arrow or leg. It stops inside a piece: a dead pixel, or the count.',
                caution: self::OFF,
            ),
            'matrix' => self::card(
                title: 'order of the matrix',
                do: 'Light single pixels and enter where they are, seen from the front; the next one is shown.',
                see: 'Three looks at most tell where the data starts and how its lines go.',
                otherwise: 'A pixel lights elsewhere: the size of the matrix is not that of the wall, or two rows are joined in another order.',
                caution: self::OFF,
                asks: 'matrix',
            ),
            'white' => self::card(
                title: count($strip->channels) === 1 && $strip->switched() ? 'full' : 'white at full',
                do: 'All at full. Measure at the supply’s terminals first, then at the pads: dimmed outputs mislead a meter.',
                see: 'Even light from end to end; volts inside the shaded band.',
                otherwise: 'Dull towards one end: take the suggested reading, it is the most useful one.',
                caution: 'Do not look straight into it. ' . self::OFF,
                asks: 'read',
            ),
            'mix' => self::card(
                title: 'one mix',
                do: 'Command one mixed colour, such as orange, at half.',
                see: 'The same colour from end to end.',
                otherwise: 'It turns red towards the far end: too few volts there.',
                caution: self::OFF,
            ),
            'again' => self::card(
                title: 'dead test after the joints',
                do: 'Power off: measure ohms from + to every return at both ends; pull at every joint.',
                see: 'As before the joints were made.',
                otherwise: 'Less than before: flux or a strand between two pads.',
                caution: 'Ohms only with no supply on it. ' . $safe,
                by: Commander::Nothing->words(),
            ),
            'readings' => self::card(
                title: 'readings at full',
                do: 'Everything full, loaded for a minute: supply, feeds, ends.',
                see: 'Every reading inside its band.',
                otherwise: 'Outside: the fault is looked for reading by reading, six at most.',
                caution: self::OFF,
                asks: 'read',
            ),
            'feeds' => self::card(
                title: 'each feed lifted',
                do: 'Disconnect one feed, look and measure, reconnect it; then the next. Feeds at both ends hide a dead one.',
                see: 'The run still lights from the other feeds, as dull as the band shows.',
                otherwise: 'No change: the disconnected feed was dead. It goes dark: one of the others is dead.',
                caution: self::OFF,
                asks: 'read',
            ),
            'flicker' => self::card(
                title: 'flicker',
                do: 'Look at 5 %, 20 %, full and during a change, by eye and through a camera.',
                see: 'Steady, and no steps in the change.',
                otherwise: 'Flicker low down: a load below the least, or a slow dimming frequency. At full only: supply or joint gives way.',
                caution: 'Never flash more than three times a second near people, and never near rotating machines.',
            ),
            'signal-key', 'signal-brake', 'signal-left', 'signal-right' => self::card(
                title: substr($key, 7) . ' signal',
                do: 'Give the signal in the vehicle: ' . self::GIVEN[substr($key, 7)] . '.',
                see: 'The planned scene or show starts with it and ends with it.',
                otherwise: 'Nothing: the wrong wire, or its fuse. Something else starts: two inputs are swapped.',
                caution: 'Parked, and the wheels held. Vehicles keep legal lamp colours and never flash them on the road.',
                by: 'the vehicle',
            ),
            'signals' => self::card(
                title: 'signal wires, one at a time',
                do: 'Touch each signal wire (key, brake, left, right) to plus, one at a time.',
                see: 'Only the output that was planned for it answers.',
                otherwise: 'Two answer: wires that touch, or a plug turned.',
                caution: 'Through a 1 A fuse. Vehicles keep legal lamp colours and never flash them on the road.',
                by: 'plus, by hand',
            ),
            default => self::card(
                title: 'soak',
                do: 'White at full for 30 to 60 minutes; then volts and warmth again.',
                see: 'Volts as before; no part too hot to touch.',
                otherwise: 'Volts fall: a joint or a supply that warms up. One place hot: that joint.',
                caution: 'Stay with it.',
                asks: 'read',
            ),
        };
    }

    /** @return Card */
    public function setting(string $key): array
    {
        $pixels =
            $this->plan->of($this->run)->cutMarks()?->groupCount() *
            ($this->plan->strip($this->run->strip)->pixels->pixels ?? 1);

        return match ($key) {
            'kind' => self::card(
                title: 'kind of pixel',
                do: 'Choose the pixel’s kind by its wires (data, or data and clock) and its volts.',
                see: 'The first pixel lights at once.',
                otherwise: 'No light, or wild colours: another pixel type, or the clock on the data pin.',
                caution: self::OFF,
            ),
            'fourth' => self::card(
                title: 'fourth channel',
                do: 'Set four channels to a pixel; then command one colour alone.',
                see: 'One colour everywhere.',
                otherwise: 'Several colours at once, or three quarters lit: the fourth channel is not set. Set it before the count.',
                caution: self::OFF,
                asks: 'colours',
            ),
            'order' => self::card(
                title: 'order of the colours',
                do: 'Command one colour alone and enter what lights; the next colour is shown.',
                see: 'Each colour lights as commanded.',
                otherwise: 'Another colour: the colour order. Several colours at once: the number of channels.',
                caution: self::OFF,
                asks: 'colours',
            ),
            'count' => self::card(
                title: "count, {$pixels} calculated",
                do: $this->numbers() .
                    'Set the suggested count and enter the last pixel that lights. Split outputs mirror each other: count one branch.',
                see: 'The last pixel just lights, and no effect runs past the end.',
                otherwise: 'Dark from a piece’s first pixel on is its data joint, arrow or leg before it is a count.',
                caution: self::OFF,
                asks: 'count',
            ),
            default => self::card(
                title: sprintf('limit, %.0f %%', 100 * $this->run->cap),
                do: $this->numbers() . 'Set the limit in the controller, set all to white, measure the supply’s amps.',
                see: 'At most the planned current.',
                otherwise: 'More: it is not set, or did not survive a cut of the power.',
                caution: 'The supply is sized for it. ' . self::OFF,
                asks: 'read',
            ),
        };
    }

    /** Numbers to enter in the run's board, as a sentence each. */
    private function numbers(): string
    {
        return implode(
            '',
            array_map(
                static fn(BoardSetting $s): string => "{$s->words()}. ",
                BoardSettings::ofRun($this->plan, $this->run),
            ),
        );
    }

    /** @return Card */
    private static function card(
        string $title,
        string $do,
        string $see,
        string $otherwise,
        string $caution,
        string $by = '',
        string $asks = 'tick',
    ): array {
        return [
            'title' => $title,
            'asks' => $asks,
            'by' => $by,
            'do' => $do,
            'see' => $see,
            'otherwise' => $otherwise,
            'caution' => $caution,
        ];
    }

    /** @return list<string> each signal of the vehicle, then all one at a time */
    private function signals(): array
    {
        $keys = array_map(
            static fn(SignalLead $l): string => "signal-{$l->signal}",
            SignalLead::at($this->plan, $this->run),
        );

        return $keys === [] ? [] : [...$keys, 'signals'];
    }
}
