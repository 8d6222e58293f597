<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** A person who follows the guide: how quickly, and how often something is overlooked, miscounted, sent twice or answered too early. Shares are from 0 to 1. */
final readonly class Person
{
    /**
     * @param  float  $quickest  seconds from reading a step to doing it
     * @param  float  $slowest  likewise
     * @param  float  $overlooks  share of the patterns that are there and not seen
     * @param  float  $miscounts  share of the gestures that have a press too few
     * @param  float  $twice  share of the answers that are sent a second time, from a second phone or by a double press
     * @param  float  $early  share of the looks that end with "nothing" after a second
     * @param  float  $errs  share of the answers that are wrong
     * @param  bool  $cut  whether every answer waits for a signal and arrives late, with its own time
     */
    public function __construct(
        public float $quickest = 2.0,
        public float $slowest = 2.0,
        public float $overlooks = 0.0,
        public float $miscounts = 0.0,
        public float $twice = 0.0,
        public float $early = 0.0,
        public float $errs = 0.0,
        public bool $cut = false,
    ) {}

    /** @return array<string, self> kinds of people that the guide has to carry through (common practice, no source) */
    public static function kinds(): array
    {
        return [
            'quick' => new self(quickest: 0.5, slowest: 2.0),
            'slow' => new self(quickest: 5.0, slowest: 15.0),
            'hurried' => new self(quickest: 0.5, slowest: 3.0, miscounts: 0.05, twice: 0.1, early: 0.3),
            'careless' => new self(quickest: 1.0, slowest: 6.0, overlooks: 0.1, miscounts: 0.05, early: 0.1),
            'without signal' => new self(quickest: 1.0, slowest: 8.0, twice: 0.1, cut: true),
        ];
    }
}
