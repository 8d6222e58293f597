<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Work;
use EmberDusk\Survey\Site\Present;
use EmberDusk\Survey\WallNotes;

/** Steps of a place: questions to the client, removals, trim off and on. */
final class PlaceSteps
{
    private bool $asked = false;

    public function __construct(private readonly Plan $plan, private readonly StepList $list) {}

    /** Before the first day, once per job. */
    public function ask(string $id, string $name): void
    {
        $questions = (new ClientQuestions($this->plan))->for();
        if ($this->asked || $questions === []) {
            return;
        }
        $this->asked = true;
        $this->list->add(
            kind: Work::Ask,
            of: $id,
            place: $name,
            title: 'Ask the client: ' . implode('; ', $questions),
            why: 'Missing details stop a join on the day. The client types the password; never write it down.',
            units: 1.0,
            people: 1,
            tools: [],
            caution: 'Switch off phone notifications, and on again afterwards.',
            after: [],
        );
    }

    /**
     * @param  list<string>  $after
     * @param  list<string>  $new  shelf ids of the new lights' parts: until they are here, the old ones stay
     * @return list<string> after which the place is free to work in
     */
    public function cleared(string $id, string $name, array $after, array $new): array
    {
        [$out, $trim] = [$this->noted($id, 'now'), $this->noted($id, 'trim')];
        $out = array_values(array_filter($out, static fn(Present $p): bool => $p->out === true));
        $last = $after;
        if ($out !== []) {
            $last[] = $this->list->add(
                kind: Work::Out,
                of: $id,
                place: $name,
                title: 'Remove ' . self::said($out),
                why: 'The existing lights are in the way, or would add to the new ones.',
                units: array_sum(array_map(static fn(Present $p): float => $p->count, $out)),
                people: 1,
                tools: ['screwdriver', 'voltage tester'],
                caution: 'Dead ends go into terminals in a closed box' .
                    ($this->plan->power()->onMains() ? '; fixed mains wiring is for a licensed person.' : '.'),
                after: $after,
                wait: 0,
                needs: $new,
            );
        }
        if ($trim !== []) {
            $last[] = $this->list->add(
                kind: Work::Trim,
                of: $id,
                place: $name,
                title: 'Take off ' . $this->trims($trim),
                why: 'Number it on the back to refit it in its place.',
                units: self::metres($trim),
                people: 1,
                tools: ['pry bar', 'labels'],
                caution: 'Check for cables before you nail.',
                after: $after,
            );
        }

        return $last;
    }

    /**
     * @param  list<string>  $after
     * @return list<string>
     */
    public function back(string $id, string $name, array $after): array
    {
        $trim = $this->noted($id, 'trim');
        if ($trim === []) {
            return $after;
        }

        return [
            $this->list->add(
                kind: Work::Back,
                of: $id,
                place: $name,
                title: 'Put back ' . $this->trims($trim),
                why: 'After the last test: the wiring behind it is then out of reach.',
                units: self::metres($trim),
                people: 1,
                tools: ['hammer'],
                caution: 'Do not nail where the new cable is.',
                after: $after,
            ),
        ];
    }

    /** @return list<Present> */
    private function noted(string $id, string $kind): array
    {
        return array_values(
            array_filter(
                WallNotes::read($this->plan->places[$id]->notes ?? '')->site->present,
                static fn(Present $p): bool => $p->kind === $kind,
            ),
        );
    }

    /** @param  list<Present>  $present */
    private static function said(array $present): string
    {
        return implode(
            ', ',
            array_map(static fn(Present $p): string => sprintf('%g %s', $p->count, $p->what), $present),
        );
    }

    /** @param  list<Present>  $trim */
    private function trims(array $trim): string
    {
        return implode(
            ', ',
            array_map(fn(Present $p): string => "{$this->plan->terms->say($p->count)} of {$p->what}", $trim),
        );
    }

    /** @param  list<Present>  $trim */
    private static function metres(array $trim): float
    {
        return array_sum(array_map(static fn(Present $p): float => $p->count, $trim));
    }
}
