<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Values\InvalidInput;

/** An entry of strip whose rails come from one reel that was measured: its length, amps, and volts at both ends, fed at its start. */
final readonly class MeasuredReel
{
    /** @param  array<array-key, mixed>  $written  the entry with the reel in it */
    private function __construct(public array $written, public Strip $strip) {}

    /**
     * @param  array<array-key, mixed>  $written the shelf entry
     *
     * @throws \EmberDusk\Values\Refusal when it is no strip, or the figures cannot be of one
     */
    public static function from(array $written, float $length, float $amps, float $startVolts, float $endVolts): self
    {
        $entry = array_diff_key($written, ['plusRail' => 0, 'returnRail' => 0, 'copper' => 0]);
        $entry['reel'] = ['length' => $length, 'amps' => $amps, 'startVolts' => $startVolts, 'endVolts' => $endVolts];
        $read = Shelf::entry(new Fields($entry));
        if (!($read instanceof Strip)) {
            throw InvalidInput::at('/kit', 'Only strip can be measured on its reel.');
        }

        return new self($entry, $read);
    }
}
