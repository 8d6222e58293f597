<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\Cable;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\Routes;
use EmberDusk\Plan\Run;

/** The runs of layouts for their pictures, each beside the current layout. */
final readonly class ProposedRuns
{
    public function __construct(private Plan $plan) {}

    /**
     * @param  list<LayoutTrial>  $parts
     * @return list<ProposedRun> by layout
     */
    public function of(array $parts): array
    {
        $runs = [];
        foreach ($parts as $part) {
            foreach ($part->layout->blocks as $block) {
                foreach ($block->feeds as $feed) {
                    $runs[] = $this->run($part->layout, $block, $feed);
                }
            }
        }

        return $runs;
    }

    private function run(Layout $layout, RunBlock $block, FeedOption $option): ProposedRun
    {
        $run = $this->plan->run($option->run);
        $marks = $this->plan->of($run)->marks();
        $at = array_map(
            static fn(int $n, int $pad): float => $option->halves() && $n === 1
                ? $marks->length()
                : $marks->position($pad),
            array_keys($option->pads),
            $option->pads,
        );
        $now = array_map(static fn(Feed $f): float => $marks->position($f->pad), $this->plan->ways()->feedsOf($run));
        $sorted = $at;
        sort($sorted);

        return new ProposedRun(
            id: $run->id,
            name: $run->name(),
            metres: $marks->length(),
            feeds: array_map(
                fn(float $metres, float $length): ProposedFeed => new ProposedFeed(
                    $metres,
                    $this->plan->terms->say($length),
                ),
                $at,
                $option->lengths,
            ),
            now: $now,
            moved: $option->halves() ||
                array_map(static fn(float $m): float => round($m, 4), $now) !==
                    array_map(static fn(float $m): float => round($m, 4), $sorted),
            cable: $this->cable($run, $option),
            controller: $this->controller($run, $block) ?? $this->board($run, $layout),
            source: $this->source($run, $layout),
        );
    }

    private function cable(Run $run, FeedOption $option): ProposedPart
    {
        $leg = $option->leg === null ? '' : "leg {$option->leg->leg->name} and ";
        $now = [];
        foreach ($this->plan->ways()->feedsOf($run) as $feed) {
            $now[] = $this->plan->kit[$this->plan->ways()->cableTo($feed->id)->kit ?? ''] ?? null;
        }

        return self::part($leg . self::sizes($option->tails), self::sizes($now));
    }

    /** @param  list<KitSnapshot|null>  $cables */
    private static function sizes(array $cables): string
    {
        return implode(', ', array_unique(array_filter(array_map(self::size(...), $cables))));
    }

    private function controller(Run $run, RunBlock $block): ?ProposedPart
    {
        if ($block->controller === null || $block->trunk === null) {
            return null;
        }
        $device = $this->plan->controllers[$run->controller ?? ''] ?? null;
        $trunk = $this->plan->kit[$this->plan->ways()->cableTo($run->controller ?? '')->kit ?? ''] ?? null;

        return self::part(
            $this->unit($block->controller, $block->place, $device) . ', trunk ' . self::size($block->trunk),
            $this->drawn($device) . ($trunk === null || $device === null ? '' : ', trunk ' . self::size($trunk)),
        );
    }

    /** A board that is added; null where the run keeps its board. */
    private function board(Run $run, Layout $layout): ?ProposedPart
    {
        foreach ($layout->source->boards as $board) {
            $others = array_filter($board->runs, static fn(Run $r): bool => $r->id !== $run->id);
            if (count($others) < count($board->runs)) {
                $shared = array_map(fn(Run $r): string => $this->plan->run($r->id)->name(), $others);

                return self::part(
                    $board->words() . ($shared === [] ? '' : ', shared with ' . implode(' and ', $shared)),
                    '',
                );
            }
        }

        return null;
    }

    private function source(Run $run, Layout $layout): ProposedPart
    {
        $device = $this->plan->supplies[$run->supply ?? ''] ?? null;
        $bank = $layout->source->bank;
        if ($layout->source->tapped()) {
            $words = "straight from {$bank?->name()}";
        } else {
            $words =
                $this->unit($layout->source->unit, $layout->place, $device) .
                ($bank === null ? '' : " on {$bank->name()}, " . self::size($layout->source->input));
        }

        return self::part($words, $this->fed($device));
    }

    /** The current supply in words, with the bank that it is, or is on. */
    private function fed(?Device $device): string
    {
        if ($device === null) {
            return '';
        }
        $name = static fn(Device $d): string => $d->where() === '' ? strtoupper($d->id) : $d->where();
        if ($this->plan->block($device->id) !== null) {
            return "straight from {$name($device)}";
        }
        $bank = $this->plan->supplies[$device->bank ?? ''] ?? null;
        $cable = $this->plan->ways()->cableTo($device->id);

        return $this->drawn($device) .
            ($bank === null
                ? ''
                : " on {$name($bank)}" . ($cable === null ? '' : ', ' . self::size($this->plan->kit[$cable->kit])));
    }

    private function drawn(?Device $device): string
    {
        return $device === null ? '' : $this->unit($this->plan->kit[$device->kit], '', $device);
    }

    /** A unit and its place; one that stays has the present place. */
    private function unit(KitSnapshot $kit, string $place, ?Device $now): string
    {
        $where = Routes::where($place) === '' ? $now?->where() ?? '' : $place;

        return $kit->entry->name() . ($where === '' ? '' : " in {$where}");
    }

    private static function size(?KitSnapshot $kit): string
    {
        return $kit?->entry instanceof Cable ? "{$kit->entry->cores} x {$kit->entry->conductor->label()}" : '';
    }

    private static function part(string $words, string $was): ProposedPart
    {
        return new ProposedPart($words, $words === $was ? null : $was);
    }
}
