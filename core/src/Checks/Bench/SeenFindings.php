<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Bench;

use EmberDusk\Bench\BenchObservation;
use EmberDusk\Bench\Channels\LeadWords;
use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Severity;

/** Wrong colours and counts, failed tests, and controllers commanded by a bench remote and not reset since. */
final readonly class SeenFindings extends Check
{
    public function rules(): array
    {
        return [
            new Rule('colours', 'test', 'every colour lights as commanded', Rule::PRACTICE),
            new Rule('pixel-count', 'test', 'pixels light to the last one', Rule::PRACTICE),
            new Rule(
                'bench-remote',
                'test',
                'devices commanded by a bench remote or hub are reset before they are joined',
                Rule::PRACTICE,
            ),
            new Rule('test-failed', 'test', 'every test ends as expected', Rule::OWN),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $facts = $job->state->bench;
        if ($facts->entries === []) {
            return [];
        }
        $findings = [];
        foreach ($job->plan->runs as $id => $run) {
            $seen = BenchObservation::for($job->plan, $run, $facts);
            $found = $seen->finder?->found();
            if ($seen->words !== null && $found !== null && !$found->right()) {
                $findings[] = $this->colours($seen->words, $found, $id, $run->name());
            } elseif ($seen->finder !== null && $seen->finder->left === []) {
                $findings[] = $this->rule('colours')->open(
                    place: new FindingPlace(JobStage::Bench, $id),
                    title: "{$run->name()}: the colours that were seen contradict each other",
                    detail: 'No way to connect the leads gives all of them. They stay in the log; test the first colour again.',
                );
            }
            $foreign = array_filter(
                $seen->answers,
                static fn(int $set, int $colour): bool => !$seen->knows($colour, $set),
                ARRAY_FILTER_USE_BOTH,
            );
            if ($foreign !== []) {
                $findings[] = $this->rule('colours')->open(
                    place: new FindingPlace(JobStage::Bench, $id),
                    title: "{$run->name()}: a colour was noted that it does not have",
                    detail: 'Its strip has ' .
                        implode(', ', $seen->colours) .
                        '. It stays in the log and does not count; test the colours again, or choose the strip that is fitted.',
                );
            }
            if ($seen->count !== null && !in_array($seen->count->verdict, ['asking', 'count'], true)) {
                $findings[] = $this->rule('pixel-count')->finding(
                    severity: $seen->count->verdict === 'contradiction' ? Severity::Open : Severity::Watch,
                    place: new FindingPlace(JobStage::Bench, $id),
                    title: "{$run->name()}: {$seen->says()}",
                    detail: $seen->todo(),
                );
            }
        }
        foreach (array_diff_key($facts->failed(), $job->state->ticks) as $entry) {
            $run = $job->plan->runs[$entry->place] ?? null;
            if ($run !== null) {
                $findings[] = $this->rule('test-failed')->watch(
                    place: new FindingPlace(JobStage::Bench, $run->id),
                    title: "{$run->name()}: {$entry->text}",
                    detail: 'Find the cause with the meter and fix it, then pass the test.',
                );
            }
        }
        foreach ($facts->borrowed() as $id) {
            $controller = $job->plan->runs[$id]->controller ?? null;
            if ($controller !== null && !in_array($controller, $job->state->joined, true)) {
                $findings[] = $this->rule('bench-remote')->open(
                    place: new FindingPlace(JobStage::Join, $controller),
                    title: strtoupper($controller) . ' was commanded by a bench remote: reset it first',
                    detail: 'It is still linked to the bench remote or hub. Reset it before joining; it does not count as joined.',
                );
            }
        }

        return $findings;
    }

    private function colours(
        LeadWords $words,
        \EmberDusk\Bench\Channels\Explanation $found,
        string $run,
        string $name,
    ): Finding {
        return $this->rule('colours')->watch(
            place: new FindingPlace(JobStage::Bench, $run),
            title: "{$name}: " . lcfirst(rtrim($words->verdict($found), '.')),
            detail: 'Switch the supply off before you move a lead. ' . implode(' ', $words->moves($found)),
        );
    }
}
