<?php

declare(strict_types=1);

namespace EmberDusk\Bench;

use EmberDusk\Bench\Channels\ChannelFinder;
use EmberDusk\Bench\Channels\ConnectionClasses;
use EmberDusk\Bench\Channels\FallbackSetting;
use EmberDusk\Bench\Channels\LeadWords;
use EmberDusk\Bench\Count\CountFinder;
use EmberDusk\Bench\Log\BenchFacts;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Colours and pixel counts observed at a run, and the faults that they leave possible. */
final readonly class BenchObservation
{
    private const PIXELS = ['red', 'green', 'blue', 'white'];

    /**
     * @param  list<string>  $colours  names, in the strip's order
     * @param  array<int, int>  $answers  colours that lit, by the one that was commanded
     * @param  non-empty-list<int>|null  $sections  pixels of each
     * @param  list<array{int, int}>  $counts
     */
    private function __construct(
        public array $colours,
        public array $answers,
        public ?ChannelFinder $finder,
        public ?LeadWords $words,
        public ?array $sections,
        public array $counts,
        public ?CountFinder $count,
    ) {}

    /** @param  bool  $ask  whether it is asked what to command, also where nothing was commanded yet */
    public static function for(Plan $plan, Run $run, BenchFacts $facts, bool $ask = false): self
    {
        $strip = $plan->strip($run->strip);
        $pixels = $strip?->pixels;
        $names = match (true) {
            $strip === null => [],
            $pixels !== null => array_slice(self::PIXELS, 0, $pixels->colours),
            default => array_map(static fn($c): string => $c->name, $strip->channels),
        };
        $kind = $pixels === null ? $strip?->colours() ?? 'single' : 'pixels';
        $told =
            count($names) > 1 &&
            count($names) <= 5 &&
            ($pixels !== null || count($names) === FallbackSetting::OUTPUTS[$kind]);
        $controller = $plan->controller($run->controller);
        $modes = $controller?->setByHand() === true ? $controller->modes : [];
        $answers = $facts->colours($run->id);
        // Five colours have thousands of cases: they are computed only when needed.
        $space = match (true) {
            !$told, !$ask && $answers === [] => [],
            $pixels !== null => ConnectionClasses::pixels(count($names)),
            default => (new ConnectionClasses($kind, $modes))->leads(),
        };
        $four = $pixels !== null && $pixels->colours === 4;
        $counts = $facts->counts($run->id);
        $sections = $pixels !== null ? PixelCount::sections($plan, $run) : null;

        $finder = $space !== [] ? ChannelFinder::from($space, self::known($answers, count($names))) : null;
        $words = $names !== [] ? new LeadWords($names, $kind) : null;
        $count = $sections !== null ? CountFinder::from($sections, $four, $counts) : null;

        return new self(
            colours: $names,
            answers: $answers,
            finder: $finder,
            words: $words,
            sections: $sections,
            counts: $counts,
            count: $count,
        );
    }

    /**
     * Answers about colours that the run has: others are asked back.
     *
     * @param  array<int, int>  $answers
     * @return array<int, int>
     */
    private static function known(array $answers, int $colours): array
    {
        return array_filter(
            $answers,
            static fn(int $set, int $commanded): bool => $commanded < $colours && $set < 1 << $colours,
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /** Whether the commanded colour and all lit colours exist in this run. */
    public function knows(int $commanded, int $set): bool
    {
        return isset($this->colours[$commanded]) && $set < 1 << count($this->colours);
    }

    /** Conclusion from the count, as text. */
    public function says(): string
    {
        $n = ($this->count->section ?? 0) + 1;

        return match ($this->count->verdict ?? '') {
            'count' => "{$this->count?->set} pixels",
            'kind' => "three quarters light, to pixel {$this->count?->pixel}: the fourth channel is not set",
            'joint' => "dark from the first pixel of piece {$n} on: data joint, arrow or leg, not the count",
            'stops'
                => "dark after pixel {$this->count?->pixel}, inside a piece: that pixel, or the next, does not pass the data on",
            'contradiction' => 'the counts that were tried contradict each other',
            default => "set the count to {$this->count?->set}",
        };
    }

    /** Advice for the conclusion. */
    public function todo(): string
    {
        $n = ($this->count->section ?? 0) + 1;

        return match ($this->count->verdict ?? '') {
            'count' => 'Keep that count: the last pixel lights, and no effect runs past the end.',
            'kind' => 'Set four channels to a pixel before anything is counted, then the order, then count again.',
            'joint'
                => "Supply off. Remake the data joint before piece {$n}. Check that its arrow points onwards, and that the leg before it has a core for data.",
            'stops' => 'Supply off. Bridge the data past that pixel, or cut it out at the marks on both sides.',
            'contradiction' => 'They stay in the log. Enter again where the light ends with the calculated count.',
            default => 'Enter the last pixel that lights, or that effects run past the end.',
        };
    }
}
