<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Controller;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\Rule;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\PixelGroup;
use EmberDusk\Kit\PixelOutputs;
use EmberDusk\Plan\Changes\Wires\DataChoices;
use EmberDusk\Plan\Changes\Wires\FeedFrom;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Plan\DataLine;
use EmberDusk\Plan\DataOutput;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\Routes\DataLead;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** Boards of pixel runs: outputs, pictures a second, cores for data, supply, current through the terminals, a fuse. */
final readonly class PixelBoards extends Check
{
    /** Seconds that one bit takes on a one-wire data line at 800 kbit/s (common practice, no source). */
    private const BIT = 1.25e-6;

    /** Metres of data lead from a board with a level shifter, and from one without (common practice, no source). */
    private const LEAD = [true => 5.0, false => 1.0];

    /** Pictures a second below which movement is seen to jump (common practice, no source). */
    private const RATE = 20.0;

    public function rules(): array
    {
        return [
            new Rule('no-board', 'run', 'a pixel run has a board for its data', Rule::OWN),
            new Rule('pixels-output', 'controller', 'a board’s outputs support the pixels of its runs', Rule::LEAFLET),
            new Rule('pixel-rate', 'run', 'the pixels on a data line can change 20 times a second', Rule::PRACTICE),
            new Rule(
                'pixel-cores',
                'cable',
                'the cable from a board to the first pixel has cores for data',
                Rule::PRACTICE,
            ),
            new Rule(
                'data-lead',
                'run',
                'the data lead from a board to the first pixel is at most 5 m long, 1 m without a level shifter',
                Rule::PRACTICE,
            ),
            new Rule('board-fuse', 'controller', 'a board in a permanent plan has a fuse', Rule::PRACTICE),
            new Rule('board-supply', 'controller', 'a board has a supply cable', Rule::OWN),
            new Rule(
                'board-amps',
                'controller',
                'the current through the terminals of a board stays within its rating',
                Rule::LEAFLET,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        $seen = [];
        foreach ($job->runs() as $case) {
            array_push($findings, ...$this->run($case));
            $board = $case->controller;
            if ($board?->pixels !== null && $case->strip?->pixels !== null && !isset($seen[$case->run->controller])) {
                $seen[$case->run->controller] = true;
                array_push($findings, ...$this->outputs($case, $board->pixels), ...$this->terminals($case, $board));
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function run(JudgedRun $case): array
    {
        $pixels = $case->strip?->pixels;
        if ($pixels === null || $case->run->supply === null) {
            return [];
        }
        $outputs = $case->controller?->pixels;
        if ($outputs === null) {
            return [
                $this->rule('no-board')->watch(
                    place: new FindingPlace(JobStage::Kit, $case->run->id),
                    title: "{$case->run->name()}: no pixel board",
                    detail: 'Pixels without data stay dark or show random colours. Choose a pixel board for this run at Kit.',
                    fixes: $case->takeFittingController(),
                ),
            ];
        }

        return [...$this->rate($case, $pixels), ...$this->cores($case, $pixels), ...$this->lead($case, $outputs)];
    }

    /** @return list<Finding> about the pixels of all runs of a board: each run begins at a separate output */
    private function outputs(JudgedRun $case, PixelOutputs $outputs): array
    {
        $place = new FindingPlace(JobStage::Kit, $case->run->id);
        $label = $case->device($case->run->controller);
        $lines = DataOutput::needed($case->plan, (string) $case->run->controller);
        $pixels = array_sum(array_map(static fn(DataOutput $o): int => $o->pixels(), $lines));
        $most = $outputs->count * $outputs->each;
        if (count($lines) > $outputs->count) {
            return [
                $this->rule('pixels-output')->stop(
                    place: $place,
                    title: sprintf(
                        '%s: %d pixels need %d outputs, it has %d',
                        $label,
                        $pixels,
                        count($lines),
                        $outputs->count,
                    ),
                    detail: "{$outputs->each} pixels on each output, {$most} in total. The other pixels stay dark. " .
                        'Choose a larger board, a second one, or split the run.',
                    number: (float) count($lines),
                    limit: (float) $outputs->count,
                    fixes: $case->takeFittingController(),
                ),
            ];
        }
        $findings = [];
        foreach ($lines as $line) {
            foreach (array_merge($line->parts, ...$line->branches) as $part) {
                $run = $case->plan->run($part->run);
                if ($part->first > 1) {
                    $findings[$run->id] ??= $this->rule('pixels-output')->watch(
                        place: new FindingPlace(JobStage::Kit, $run->id),
                        title: "{$run->name()}: more pixels than one output carries",
                        detail: "Output {$line->output} of {$label} begins at pixel {$part->first}: it needs its own data wire there, or split the run.",
                        number: (float) ($part->first - 1 + $part->pixels),
                        limit: (float) $outputs->each,
                    );
                }
            }
        }

        return array_values($findings);
    }

    /** @return list<Finding> by the fullest of the outputs that drive the run */
    private function rate(JudgedRun $case, PixelGroup $group): array
    {
        $pixels = max([
            0,
            ...array_map(static fn(DataOutput $o): int => $o->pixels(), DataOutput::ofRun($case->plan, $case->run)),
        ]);
        $rate = 1 / max(1e-9, $pixels * $group->bits * self::BIT);
        if ($group->dataWires !== 1 || $rate >= self::RATE) {
            return [];
        }

        return [
            $this->rule('pixel-rate')->watch(
                place: new FindingPlace(JobStage::Kit, $case->run->id),
                title: sprintf('%s: %.0f pictures a second, %.0f wanted', $case->run->name(), $rate, self::RATE),
                detail: sprintf(
                    '%d pixels of %d bits at 800 kbit/s on one data line: movement jumps. Divide the run over more outputs.',
                    $pixels,
                    $group->bits,
                ),
                number: $rate,
                limit: self::RATE,
            ),
        ];
    }

    /** @return list<Finding> about the lead that takes the data to the run: from the board, or from the last pixel of the run before it */
    private function lead(JudgedRun $case, PixelOutputs $outputs): array
    {
        $line = DataLine::to($case->plan, $case->run);
        $metres = $line === null ? null : DataLead::metres($case->plan, $line, $case->run);
        $most = self::LEAD[$outputs->protected];
        if ($line === null || $metres === null || $metres <= $most) {
            return [];
        }
        $turned = DataLead::metres($case->plan, $line->turned($case->run->id), $case->run);

        return [
            $this->rule('data-lead')->watch(
                place: new FindingPlace(JobStage::Wire, $case->run->id),
                title: sprintf(
                    '%s: %s of data lead, at most %g %s',
                    $case->run->name(),
                    $case->plan->terms->say($metres),
                    round($case->plan->terms->inUnit($most), 1),
                    $case->plan->terms->unit(),
                ),
                detail: 'Pixels flicker or stay dark where the data arrives blurred. Place the board at the start of the strip, ' .
                    'or put one pixel on the way: it repeats the data.' .
                    ($outputs->protected ? '' : ' A level shifter carries further.'),
                number: $metres,
                limit: $most,
                fixes: $turned !== null && $turned <= $most && !$case->plan->of($case->run)->directed()
                    ? [DataChoices::for($case->plan, $case->run)[0]]
                    : [],
            ),
        ];
    }

    /** @return list<Finding> about the power of a board */
    private function terminals(JudgedRun $case, Controller $board): array
    {
        $id = (string) $case->run->controller;
        $label = $case->device($id);
        $place = new FindingPlace(JobStage::Kit, $case->run->id);
        $findings = [];
        if ($case->plan->ways()->cableTo($id) === null && $case->run->supply !== null) {
            $findings[] = $this->rule('board-supply')->open(
                place: $place,
                title: "{$label} has no supply cable",
                detail: 'The board needs its own + and -. Choose the cable of this run again at Kit: it is laid to the board too.',
            );
        }
        $amps = $case->job->controller($id)->amps;
        if ($amps > $board->totalAmps) {
            $through = array_filter(
                $case->underController(),
                static fn(Run $r): bool => $r->supply !== null &&
                    in_array($id, $case->plan->ways()->startsOf($r), true),
            );
            $findings[] = $this->rule('board-amps')->stop(
                place: $place,
                title: sprintf('%s: %.1f A through its terminals, rated %g A', $label, $amps, $board->totalAmps),
                detail: 'Its terminals or its copper burn. Start the feeds at the supply, with a fuse for each cable: ' .
                    'the board needs only data and its own current.',
                number: $amps,
                limit: $board->totalAmps,
                fixes: array_values(
                    array_map(
                        static fn(Run $r): Fix => new Fix(
                            "Feed {$r->name()} from " . strtoupper((string) $r->supply),
                            FeedFrom::payload(run: $r->id, from: (string) $r->supply),
                        ),
                        $through,
                    ),
                ),
            );
        }
        if ($board->pixels?->trial === false && !$board->pixels->protected) {
            $findings[] = $this->rule('board-fuse')->watch(
                place: $place,
                title: "{$board->name()} has no fuse",
                detail: 'A short in the strip burns its copper. Add a fuse to the cable before it, or choose a board with a fuse.',
            );
        }

        return $findings;
    }

    /** @return list<Finding> about the cable from a board to the pad at which data comes in */
    private function cores(JudgedRun $case, PixelGroup $group): array
    {
        $line = DataLine::to($case->plan, $case->run);
        $pad = $line?->runs[0] === $case->run->id ? $line->pad($case->plan, $case->run) : null;
        $feeds = array_filter($case->plan->ways()->feedsOf($case->run), static fn(Feed $f): bool => $f->pad === $pad);
        $laid = $case->plan->ways()->cableTo(array_values($feeds)[0]->id ?? '');
        $cable = $case->plan->cable($laid?->kit);
        $needs = 2 + $group->dataWires;
        // A cable that begins at the supply has no data to take along.
        $root = $laid === null ? null : $case->plan->ways()->root($laid->from);
        if ($laid === null || $cable === null || $cable->cores >= $needs || $root !== $line?->board) {
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
                place: new FindingPlace(JobStage::Wire, $laid->id),
                title: "{$name} has {$cable->cores} cores, power and data need {$needs}",
                detail: 'Parts has a data wire beside it. A cable with a core for each data wire does without.',
                number: (float) $cable->cores,
                limit: (float) $needs,
                fixes: $more === null
                    ? []
                    : [new Fix("{$name} in {$more->name()}", SetCable::payload(cable: $laid->id, kit: $more->id()))],
            ),
        ];
    }
}
