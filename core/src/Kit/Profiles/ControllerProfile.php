<?php

declare(strict_types=1);

namespace EmberDusk\Kit\Profiles;

use EmberDusk\Formats\Fields;

/** How a Zigbee controller resets, listens and confirms, from the leaflet in its box. Seconds throughout. */
final readonly class ControllerProfile
{
    /**
     * @param  string  $key  the key that resets it
     * @param  float  $pressesWithin  from the first press to the last
     * @param  float  $listens  after a reset or, unjoined, after power-up
     * @param  float  $takesLeast  shortest time from hearing a searching hub to having joined
     * @param  float  $takesMost  longest such time
     */
    public function __construct(
        public string $key,
        public int $presses,
        public float $pressesWithin,
        public float $listens,
        public float $takesLeast,
        public float $takesMost,
        public Signal $resetDone,
        public Signal $joined,
    ) {}

    public static function read(Fields $f): self
    {
        $profile = new self(
            key: $f->string('key', 20),
            presses: $f->whole('presses', 2, 20),
            pressesWithin: $f->number('pressesWithin', 0.5, 30),
            listens: $f->number('listens', 1, 900),
            takesLeast: $f->number('takesLeast', 0, 600),
            takesMost: $f->number('takesMost', 0, 600),
            resetDone: Signal::read($f, 'resetDone'),
            joined: Signal::read($f, 'joined'),
        );
        if ($profile->takesMost < $profile->takesLeast) {
            throw $f->invalid('takesMost', 'The longest time is shorter than the shortest.');
        }

        return $profile;
    }
}
