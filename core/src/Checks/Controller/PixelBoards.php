<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Controller;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\PixelGroup;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Plan\Item;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;

/** Boards of pixel runs: one for each run, pixels on a data line, pictures a second, cores for data, a fuse. */
final readonly class PixelBoards extends RunCheck
{
    /** Seconds that one bit takes on a one-wire data line at 800 kbit/s (common practice, no source). */
    private const BIT = 1.25e-6;

    /** Pictures a second below which movement is seen to jump (common practice, no source). */
    private const RATE = 20.0;

    public function rules(): array
    {
        return [
            new Rule('no-board', 'run', 'a pixel run has a board for its data', Rule::OWN),
            new Rule('pixels-output', 'run', 'a board’s outputs support the pixels of its run', Rule::LEAFLET),
            new Rule('pixel-rate', 'run', 'the pixels on a data line can change 20 times a second', Rule::PRACTICE),
            new Rule('pixel-cores', 'cable', 'the cable to the first pixel has cores for data', Rule::PRACTICE),
            new Rule('board-fuse', 'item', 'a board in a permanent plan has a fuse', Rule::PRACTICE),
        ];
    }

    protected function run(JudgedRun $case): array
    {
        $pixels = $case->strip?->pixels;
        if ($pixels === null || $case->run->supply === null) {
            return [];
        }
        $board = $case->plan->boardOn($case->run);
        if ($board === null) {
            return [
                $this->rule('no-board')->watch(
                    place: new FindingPlace('kit', $case->run->id),
                    title: "{$case->run->name()}: no pixel board",
                    detail: 'Pixels without data stay dark or show random colours. Add a pixel board to this run under Other items at Kit.',
                ),
            ];
        }

        return [...$this->line($case, $board, $pixels), ...$this->cores($case, $pixels), ...$this->fuse($case, $board)];
    }

    /** @return list<Finding> */
    private function line(JudgedRun $case, Item $board, PixelGroup $group): array
    {
        $entry = new Fields($case->plan->kit[$board->kit]->written);
        $each = $entry->whole('pixelsPerOutput', 1, 100_000);
        $lines = $board->count * $entry->whole('outputs', 1, 64);
        $pixels = ($case->plan->cutMarks($case->run)?->groupCount() ?? 0) * $group->pixels;
        $place = new FindingPlace('kit', $case->run->id);
        $findings = [];
        if ($pixels > $lines * $each) {
            $findings[] = $this->rule('pixels-output')->stop(
                place: $place,
                title: "{$case->run->name()}: {$pixels} pixels, its board supports " . $lines * $each,
                detail: "{$each} pixels on each of {$lines} " .
                    ($lines === 1 ? 'output' : 'outputs') .
                    '. The other pixels stay dark. Choose a larger board, or split the run.',
                number: (float) $pixels,
                limit: (float) $lines * $each,
            );
        } elseif ($pixels > $each) {
            $needed = (int) ceil($pixels / $each);
            $findings[] = $this->rule('pixels-output')->watch(
                place: $place,
                title: "{$case->run->name()}: {$pixels} pixels, one output carries {$each}",
                detail: "Use {$needed} outputs, each with its own data wire to the start of its part, or split the run.",
                number: (float) $pixels,
                limit: (float) $each,
            );
        }
        $rate = 1 / max(1e-9, min($pixels, $each) * $group->bits * self::BIT);
        if ($group->dataWires === 1 && $rate < self::RATE) {
            $findings[] = $this->rule('pixel-rate')->watch(
                place: $place,
                title: sprintf('%s: %.0f pictures a second, %.0f wanted', $case->run->name(), $rate, self::RATE),
                detail: sprintf(
                    '%d pixels of %d bits at 800 kbit/s on one data line: movement jumps. Divide the run over more outputs.',
                    min($pixels, $each),
                    $group->bits,
                ),
                number: $rate,
                limit: self::RATE,
            );
        }

        return $findings;
    }

    /** @return list<Finding> about the cable to the pad at which data comes in */
    private function cores(JudgedRun $case, PixelGroup $group): array
    {
        $first = $case->plan->ways()->feedsOf($case->run)[0] ?? null;
        $laid = $case->plan->ways()->cableTo($first->id ?? '');
        $cable = $case->plan->cable($laid?->kit);
        $needs = 2 + $group->dataWires;
        if ($first?->pad !== 0 || $laid === null || $cable === null || $cable->cores >= $needs) {
            return [];
        }
        $more = $case->smallest(
            Cable::class,
            static fn(Cable $c): bool => $c->cores >= $needs && $c->conductor->label() === $cable->conductor->label(),
            static fn(Cable $c): float => $c->cores,
        );
        $name = strtoupper($laid->id);

        return [
            $this->rule('pixel-cores')->watch(
                place: new FindingPlace('wire', $laid->id),
                title: "{$name} has {$cable->cores} cores, power and data need {$needs}",
                detail: 'Choose a cable with a core for each data wire, or lay a separate data wire.',
                number: (float) $cable->cores,
                limit: (float) $needs,
                fixes: $more === null
                    ? []
                    : [new Fix("{$name} in {$more->name()}", SetCable::payload(cable: $laid->id, kit: $more->id()))],
            ),
        ];
    }

    /** @return list<Finding> */
    private function fuse(JudgedRun $case, Item $board): array
    {
        $kit = $case->plan->kit[$board->kit];
        $trial = ($kit->written['trial'] ?? false) === true;
        if ($trial || ($kit->written['fused'] ?? true) === true) {
            return [];
        }

        return [
            $this->rule('board-fuse')->watch(
                place: new FindingPlace('kit', $case->run->id),
                title: "{$kit->entry->name()} has no fuse",
                detail: 'A short in the strip burns its copper. Add a fuse to the cable before it, or choose a board with a fuse.',
            ),
        ];
    }
}
