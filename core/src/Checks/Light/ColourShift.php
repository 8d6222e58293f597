<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Light;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Circuit\RunFigures;
use EmberDusk\Plan\Changes\Wires\FeedPattern;
use EmberDusk\Plan\Feed;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** Over 3 SDCM steps of one mix along a run are seen: a starved colour strip turns red (common practice, no source). */
final readonly class ColourShift extends RunCheck
{
    private const VISIBLE = 3.0;

    public function rules(): array
    {
        return [
            new Rule(
                'colour-shift',
                'run',
                'the colour of a mix stays within 3 steps of 0.0011 u’v’ along a run',
                'CIE 1976 u’v’, from memory',
            ),
        ];
    }

    protected function run(JudgedRun $case): array
    {
        if ($case->result === null || $case->strip === null || count($case->strip->channels) < 2) {
            return [];
        }
        $shift = (new RunFigures($case->result))->shift($case->strip)->value;
        if ($shift <= self::VISIBLE) {
            return [];
        }
        $marks = $case->plan->of($case->run)->cutMarks();
        $fed = array_map(static fn(Feed $f): int => $f->pad, $case->plan->ways()->feedsOf($case->run));
        if ($marks !== null && array_diff([0, $marks->lastPad()], $fed) !== []) {
            $fixes = [new Fix('Feed both ends', FeedPattern::payload(run: $case->run->id, pattern: 'ends'))];
        } else {
            $fixes = [];
        }

        return [
            $this->rule('colour-shift')->watch(
                place: new FindingPlace(JobStage::Wire, $case->run->id),
                title: sprintf('%s changes its colour by %.0f steps', $case->run->name(), $shift),
                detail: 'With every channel full, the place farthest from a feed has another tint than the one nearest: blue ' .
                    'and green need more volts than red. More than 3 steps are visible.',
                number: $shift,
                limit: self::VISIBLE,
                source: 'CIE 1976 u’v’, one step 0.0011 (from memory)',
                fixes: $fixes,
            ),
        ];
    }
}
