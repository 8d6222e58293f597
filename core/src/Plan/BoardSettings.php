<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Values\Figure;

/** Numbers to enter in a pixel board, from the plan: kind, pixels and start of each output, and the current limit. */
final readonly class BoardSettings
{
    /** Milliamps to which a limit is rounded down. */
    private const STEP = 50;

    private function __construct(private Plan $plan, private string $board) {}

    /** @return list<BoardSetting> none while no run of pixels is on the board */
    public static function for(Plan $plan, string $board): array
    {
        return (new self($plan, $board))->all();
    }

    /** @return list<BoardSetting> none while no run of pixels is on the board */
    private function all(): array
    {
        $settings = $segments = [];
        $start = 0;
        foreach (DataOutput::needed($this->plan, $this->board) as $output) {
            $pixels = $this->plan->strip($this->plan->runs[$output->parts[0]->run]->strip)?->pixels;
            $settings[] = new BoardSetting(
                "Output {$output->output}",
                sprintf(
                    '%d pixels, start %d, %d colours, %s',
                    $output->pixels(),
                    $start,
                    $pixels->colours ?? 3,
                    $pixels?->dataWires === 2 ? 'data and clock' : 'one data wire',
                ),
                implode(
                    '; the same: ',
                    array_map(
                        fn(array $parts): string => implode(
                            ', then ',
                            array_map(
                                fn(DataPart $p): string => $this->plan->runs[$p->run]->name() .
                                    ($p->first > 1 ? " from pixel {$p->first}" : '') .
                                    ($p->reversed ? ' from its end' : ''),
                                $parts,
                            ),
                        ),
                        [$output->parts, ...$output->branches],
                    ),
                ),
                array_map(static fn(DataPart $p): string => $p->run, array_merge($output->parts, ...$output->branches)),
            );
            foreach ($output->parts as $part) {
                array_push($segments, ...$this->segments($part, $start));
            }
            $start += $output->pixels();
        }
        if ($settings === []) {
            return [];
        }
        array_push($settings, ...$segments);
        foreach ($this->plan->runs as $run) {
            $matrix = $run->controller === $this->board ? $this->plan->of($run)->matrix() : null;
            if ($matrix !== null && $this->plan->of($run)->pixels() > 0) {
                $settings[] = new BoardSetting("Matrix of {$run->name()}", $matrix->words(), 'seen from the front', [
                    $run->id,
                ]);
            }
        }
        $limit = $this->limit();

        return $limit === null ? $settings : [...$settings, $limit];
    }

    /**
     * Segments on a part of an output, in the order of the data; one that goes on at the next output appears there again.
     *
     * @param  int  $before  pixels of the board on the outputs before
     * @return list<BoardSetting>
     */
    private function segments(DataPart $part, int $before): array
    {
        $run = $this->plan->runs[$part->run];
        $count = $this->plan->of($run)->pixels();
        $settings = [];
        foreach ($this->plan->segments as $segment) {
            // As the data comes, from 1.
            $first = $part->reversed ? $count - $segment->last + 1 : $segment->first;
            $from = max($first, $part->first);
            $pixels = min($first + $segment->pixels(), $part->first + $part->pixels) - $from;
            if ($segment->run === $part->run && $pixels > 0) {
                $turned = $segment->reversed !== $part->reversed;
                $settings[] = new BoardSetting(
                    "Segment “{$segment->name}”",
                    sprintf('start %d, %d pixels', $before + $part->start + $from - $part->first, $pixels) .
                        ($turned ? ', reversed' : '') .
                        ($segment->mirrored ? ', mirrored' : ''),
                    "{$run->name()}, {$segment->words()}",
                    [$segment->run],
                );
            }
        }

        return $settings;
    }

    /** @return list<BoardSetting> of one run, and the limit of its board */
    public static function ofRun(Plan $plan, Run $run): array
    {
        return array_values(
            array_filter(
                self::for($plan, (string) $run->controller),
                static fn(BoardSetting $s): bool => $s->runs === [] || in_array($run->id, $s->runs, true),
            ),
        );
    }

    /** The least of the currents that the supplies, the terminals and the limits of the runs allow; null without a supply. */
    private function limit(): ?BoardSetting
    {
        $entry = $this->plan->controller($this->board);
        $limits = [];
        $mine = 0.0;
        $capped = $through = false;
        foreach ($this->plan->runs as $run) {
            if ($run->controller !== $this->board) {
                continue;
            }
            $mine += $this->plan->of($run)->labelAmps();
            $capped = $capped || $run->cap < 1;
            $through = $through || in_array($this->board, $this->plan->ways()->startsOf($run), true);
            foreach ($this->plan->ways()->suppliesOf($run) as $supply) {
                $limits['what ' . strtoupper($supply) . ' can give, with its headroom'] = $this->left($supply);
            }
        }
        if ($limits === []) {
            return null;
        }
        if ($capped) {
            $limits['the limit that the supply is sized for'] = $mine;
        }
        if ($through && $entry !== null) {
            $limits['what its terminals carry'] = $entry->totalAmps;
        }
        asort($limits);

        return new BoardSetting(
            'Current limit',
            Figure::print(max(0.0, self::STEP * floor((1000 * reset($limits)) / self::STEP + 1e-6)), 0) . ' mA',
            (string) array_key_first($limits),
        );
    }

    /** Amps of a supply that its headroom, its other loads by their label and the board itself leave. */
    private function left(string $supply): float
    {
        $rated = $this->plan->supply($supply);
        $amps =
            ($rated->ratedAmps ?? 0.0) * $this->plan->limits->usable() -
            ($this->plan->controller($this->board)->standbyAmps ?? 0.0);
        foreach ($this->plan->runs as $run) {
            if ($run->controller !== $this->board && in_array($supply, $this->plan->ways()->suppliesOf($run), true)) {
                $amps -= $this->plan->of($run)->labelAmps();
            }
        }

        return $amps;
    }
}
