<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Kit\Control;
use EmberDusk\Plan\Plan;
use EmberDusk\Survey\Site\Present;
use EmberDusk\Survey\TapeNotes;

/** Steps that a place itself asks for: what is asked of the client, what is taken out, trim that comes off and goes back on. */
final class PlaceSteps
{
    private bool $asked = false;

    public function __construct(private readonly Plan $plan, private readonly StepList $list) {}

    /** Before the visit, once a job: what the kit needs of the client. Never a password itself. */
    public function ask(string $id, string $name): void
    {
        $needs = $this->needs();
        if ($this->asked || $needs === []) {
            return;
        }
        $this->asked = true;
        $this->list->add(
            kind: 'ask',
            of: $id,
            place: $name,
            title: 'Ask the client before the visit: ' . implode('; ', $needs),
            why: 'What nobody asked for stops a join on the day. A password is typed by the client and never written down.',
            units: 1.0,
            people: 1,
            tools: ['phone'],
            caution: 'What disturbs the phone is put off, and on again afterwards.',
            after: [],
        );
    }

    /**
     * @param  list<string>  $after
     * @return list<string> after which the place is free to work in
     */
    public function cleared(string $id, string $name, array $after): array
    {
        [$out, $trim] = [$this->of($id, 'now'), $this->of($id, 'trim')];
        $out = array_values(array_filter($out, static fn(Present $p): bool => $p->out === true));
        $last = $after;
        if ($out !== []) {
            $last[] = $this->list->add(
                kind: 'out',
                of: $id,
                place: $name,
                title: 'Take out ' . self::said($out),
                why: 'What hangs there now is in the way, or would light beside it.',
                units: array_sum(array_map(static fn(Present $p): float => $p->count, $out)),
                people: 1,
                tools: ['screwdriver', 'voltage tester'],
                caution: 'Dead ends go into terminals in a closed box' .
                    ($this->plan->onMains() ? '; a licensed person does what is fixed to mains.' : '.'),
                after: $after,
            );
        }
        if ($trim !== []) {
            $last[] = $this->list->add(
                kind: 'trim',
                of: $id,
                place: $name,
                title: 'Take off ' . self::trims($trim),
                why: 'Numbered on the back, so that it goes back where it was.',
                units: self::metres($trim),
                people: 1,
                tools: ['pry bar', 'labels'],
                caution: 'Look for cables before a nail goes back.',
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
        $trim = $this->of($id, 'trim');
        if ($trim === []) {
            return $after;
        }

        return [
            $this->list->add(
                kind: 'back',
                of: $id,
                place: $name,
                title: 'Put back ' . self::trims($trim),
                why: 'After the last test: what is behind it is not reached any more.',
                units: self::metres($trim),
                people: 1,
                tools: ['hammer'],
                caution: 'No nail where the new cable lies.',
                after: $after,
            ),
        ];
    }

    /** @return list<string> in words */
    private function needs(): array
    {
        $families = [];
        foreach (array_keys($this->plan->controllers) as $id) {
            $families[$this->plan->controller($id)->family ?? ''] = true;
        }
        $kinds = [];
        foreach ($this->plan->items as $item) {
            $entry = $this->plan->kit[$item->kit]->entry;
            if ($entry instanceof Control) {
                $kinds[$entry->kind] = true;
                $families += array_fill_keys($entry->speaks, true);
            }
        }
        $network = $this->plan->hubs !== [] || isset($families['wifi']) || isset($kinds['bridge']);
        $account = $this->plan->hubs !== [] || array_intersect_key($kinds, ['assistant' => 1, 'server' => 1]) !== [];
        $phone = $network || $account || isset($families['bluetooth']) || isset($families['mesh']);

        return array_values(
            array_filter([
                $network ? 'the network’s name and band, whether it is a guest network, who types its password' : null,
                $account ? 'who owns the app’s account and has its rights' : null,
                $phone ? 'which phone stays' : null,
            ]),
        );
    }

    /** @return list<Present> */
    private function of(string $id, string $kind): array
    {
        return array_values(
            array_filter(
                TapeNotes::read($this->plan->places[$id]->notes ?? '')->site->present,
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
    private static function trims(array $trim): string
    {
        return implode(
            ', ',
            array_map(static fn(Present $p): string => sprintf('%.2f m of %s', $p->count, $p->what), $trim),
        );
    }

    /** @param  list<Present>  $trim */
    private static function metres(array $trim): float
    {
        return array_sum(array_map(static fn(Present $p): float => $p->count, $trim));
    }
}
