<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Bench;

use EmberDusk\Bench\Channels\LeadWords;
use EmberDusk\Bench\Seen;
use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Checks\Rule;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** Colours and counts that came out wrong, and controllers that a bench remote has commanded and nobody has reset. */
final readonly class SeenFindings implements Check
{
    public function rules(): array
    {
        return [
            new Rule('colours', 'test', 'every colour comes as it is commanded', Rule::PRACTICE),
            new Rule('pixel-count', 'test', 'pixels light to the last one', Rule::PRACTICE),
            new Rule(
                'bench-remote',
                'test',
                'what a bench remote or hub commanded is reset before it is joined',
                Rule::PRACTICE,
            ),
        ];
    }

    public function check(Judged $job): array
    {
        $facts = $job->state->bench;
        if ($facts->entries === []) {
            return [];
        }
        $findings = [];
        foreach ($job->plan->runs as $id => $run) {
            $seen = Seen::of($job->plan, $run, $facts);
            $found = $seen->finder?->found();
            if ($seen->words !== null && $found !== null && !$found->right()) {
                $findings[] = self::colours($seen->words, $found, $id, $run->name());
            } elseif ($seen->finder !== null && $seen->finder->left === []) {
                $findings[] = new Finding(
                    code: 'colours',
                    severity: Severity::Open,
                    title: "{$run->name()}: the colours that were seen contradict each other",
                    detail: 'No way of connecting the leads shows all of them. They are kept; ask the first colour again.',
                    place: new Place('bench', $id),
                    source: Rule::PRACTICE,
                );
            }
            $foreign = array_filter(
                $seen->answers,
                static fn(int $set, int $colour): bool => !$seen->knows($colour, $set),
                ARRAY_FILTER_USE_BOTH,
            );
            if ($foreign !== []) {
                $findings[] = new Finding(
                    code: 'colours',
                    severity: Severity::Open,
                    title: "{$run->name()}: a colour was noted that it does not have",
                    detail: 'Its strip has ' .
                        implode(', ', $seen->colours) .
                        '. It is kept in the log and counts nothing; ask the colours again, or choose the strip that is there.',
                    place: new Place('bench', $id),
                    source: Rule::PRACTICE,
                );
            }
            if ($seen->count !== null && !in_array($seen->count->verdict, ['asking', 'count'], true)) {
                $findings[] = new Finding(
                    code: 'pixel-count',
                    severity: $seen->count->verdict === 'contradiction' ? Severity::Open : Severity::Watch,
                    title: "{$run->name()}: {$seen->says()}",
                    detail: $seen->todo(),
                    place: new Place('bench', $id),
                    source: Rule::PRACTICE,
                );
            }
        }
        foreach ($facts->borrowed() as $id) {
            $controller = $job->plan->runs[$id]->controller ?? null;
            if ($controller !== null && !in_array($controller, $job->state->joined, true)) {
                $findings[] = new Finding(
                    code: 'bench-remote',
                    severity: Severity::Open,
                    title: strtoupper($controller) . ' was commanded by a bench remote: reset it first',
                    detail: 'What commanded it at the bench is still in it. Reset it before anything is joined; it is not counted as joined.',
                    place: new Place('join', $controller),
                    source: Rule::PRACTICE,
                );
            }
        }

        return $findings;
    }

    private static function colours(
        LeadWords $words,
        \EmberDusk\Bench\Channels\Explanation $found,
        string $run,
        string $name,
    ): Finding {
        return new Finding(
            code: 'colours',
            severity: Severity::Watch,
            title: "{$name}: " . lcfirst(rtrim($words->verdict($found), '.')),
            detail: 'Supply off before a lead is moved. ' . implode(' ', $words->moves($found)),
            place: new Place('bench', $run),
            source: Rule::PRACTICE,
        );
    }
}
