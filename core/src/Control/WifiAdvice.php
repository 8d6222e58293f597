<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Plan\Plan;
use EmberDusk\Reach\Channels;
use EmberDusk\Survey\Site\Radio;
use EmberDusk\Survey\WallNotes;

/** The networks that the survey found at 2.4 GHz, and which Zigbee channels are free of them. */
final readonly class WifiAdvice
{
    /**
     * @param  list<int>  $wifi  channels
     * @param  list<int>  $hubs  Zigbee channels of hubs that are there
     * @param  list<int>  $free Zigbee channels, preferred ones first
     */
    private function __construct(public array $wifi, public array $hubs, public array $free) {}

    /** @param  list<int>  $more  Wi-Fi channels beside those of the notes */
    public static function for(Plan $plan, array $more = []): self
    {
        $found = [Radio::WIFI => $more, Radio::HUB => []];
        foreach ($plan->places as $place) {
            foreach (WallNotes::read($place->notes)->site->radios as $radio) {
                $found[$radio->kind] = [...$found[$radio->kind], ...array_filter([$radio->channel])];
            }
        }
        $wifi = array_values(array_unique($found[Radio::WIFI]));
        sort($wifi);

        return new self($wifi, array_values(array_unique($found[Radio::HUB])), Channels::free($wifi));
    }

    /** As text; empty without surveyed networks. */
    public function words(): string
    {
        if ($this->wifi === []) {
            return '';
        }
        $inside = array_filter(
            $this->hubs,
            fn(int $h): bool => array_filter($this->wifi, static fn(int $w): bool => Channels::overlap($h, $w)) !== [],
        );

        return 'Zigbee channels beside Wi-Fi ' .
            implode(', ', $this->wifi) .
            ': ' .
            (implode(', ', array_slice($this->free, 0, 6)) ?: 'none is free: move the Wi-Fi first') .
            ($inside === []
                ? ''
                : '. The hub’s ' .
                    implode(', ', $inside) .
                    ' lies inside a Wi-Fi channel: it answers late or not at all') .
            '.';
    }
}
