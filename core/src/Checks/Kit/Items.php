<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Kit;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Control;
use EmberDusk\Kit\Entry;
use EmberDusk\Kit\Thing;
use EmberDusk\Plan\Changes\Kit\SetItem;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Survey\TapeNotes;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Severity;

/** Other items: whether their run, supply or cable exists, their radio fits, and their ratings are kept. */
final readonly class Items implements Check
{
    public function rules(): array
    {
        return [
            new Rule('item-on', 'item', 'the run, supply or cable of each item is in the job', Rule::OWN),
            new Rule(
                'item-speaks',
                'item',
                'a remote, panel, bridge, assistant or server speaks to a controller or a hub of the job',
                Rule::LEAFLET,
            ),
            new Rule(
                'panel-mains',
                'item',
                'a panel that needs mains has an outlet or spur in its place',
                Rule::LEAFLET,
            ),
            new Rule('plug-amps', 'cable', 'a plug, and the stem of a fork, carries the current there', Rule::LEAFLET),
            new Rule('plug-pins', 'cable', 'a plug or fork has a pin for each core that is joined', Rule::LEAFLET),
            new Rule('fork-ways', 'cable', 'a lead that forks has an end for each cable', Rule::LEAFLET),
            new Rule('plug-gender', 'cable', 'the halves of a plug fit each other', Rule::LEAFLET),
            new Rule('plug-open', 'cable', 'a plug is sealed in wet places', Rule::LEAFLET),
            new Rule('set-short', 'run', 'a ready-made set is as long as its run', Rule::LEAFLET),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->plan->items as $item) {
            $kit = $job->plan->kit[$item->kit];
            $kind = $kit->kind();
            if (self::lost($job, $item, $kind)) {
                $findings[] = self::nowhere($item, $kit->entry);

                continue;
            }
            array_push(
                $findings,
                ...match (true) {
                    $kit->entry instanceof Control => self::control($job, $item, $kit->entry),
                    $kind === 'plug', $kind === 'fork' => self::plug(
                        $job,
                        $item,
                        $kit->entry,
                        new Fields($kit->written),
                    ),
                    $kind === 'set' => self::set($job, $item, $kit->entry),
                    default => [],
                },
            );
        }

        return [...$findings, ...self::genders($job)];
    }

    private static function lost(JudgedJob $job, Item $item, string $kind): bool
    {
        $allowed = SetItem::allowed($job->plan, $kind);
        $needs = in_array($kind, ['set', 'board', 'rearranged', 'plug', 'fork'], true);

        return $needs && !isset($allowed[$item->on ?? '']);
    }

    private static function nowhere(Item $item, Entry $entry): Finding
    {
        return new Finding(
            code: 'item-on',
            severity: Severity::Open,
            title: $entry->name() . ' belongs to nothing',
            detail: 'Choose what it belongs to, or remove it: a set belongs to a run, modules to a supply, a plug to a cable.',
            place: new FindingPlace('kit', $item->id),
            source: Rule::OWN,
            fixes: [
                new Fix('Remove it', SetItem::payload(kit: $item->kit, place: $item->place, count: 0, item: $item->id)),
            ],
        );
    }

    /** @return list<Finding> */
    private static function control(JudgedJob $job, Item $item, Control $control): array
    {
        $findings = [];
        $families = [];
        foreach (array_keys($job->plan->controllers) as $id) {
            $families[$job->plan->controller($id)->family ?? ''] = true;
        }
        foreach (array_keys($job->plan->hubs) as $id) {
            $families += array_fill_keys($job->plan->hub($id)->speaks ?? [], true);
        }
        $bridged = self::bridged($job, $control, $families);
        // A unit that reads a hub needs no radio.
        $reads = $control->readsHub && $job->plan->hubs !== [];
        if (
            $families !== [] &&
            !$reads &&
            !$bridged &&
            $control->kind !== 'phone' &&
            array_intersect_key(array_fill_keys($control->speaks, true), $families) === []
        ) {
            $findings[] = new Finding(
                code: 'item-speaks',
                severity: Severity::Watch,
                title: $control->name() . ' cannot control any light here',
                detail: 'It speaks ' .
                    implode(', ', $control->speaks) .
                    '; the job speaks ' .
                    implode(', ', array_filter(array_keys($families))) .
                    '. Take one of the same kind, or a bridge between them.',
                place: new FindingPlace('kit', $item->id),
                source: Rule::LEAFLET,
            );
        }
        $site = TapeNotes::read($job->plan->places[$item->place]->notes ?? '')->site;
        if ($control->mains && $site->outlets === []) {
            $findings[] = new Finding(
                code: 'panel-mains',
                severity: Severity::Watch,
                title: $control->name() . ' needs mains, and none is known there',
                detail: 'A spur for it is laid by a licensed person; add it at Survey, or choose a battery panel.',
                place: new FindingPlace('kit', $item->id),
                source: Rule::LEAFLET,
            );
        }

        return $findings;
    }

    /**
     * Whether a bridge of the job speaks the way of a control and a way of the job's lights.
     *
     * @param  array<string, true>  $families  ways of the job's lights
     */
    private static function bridged(JudgedJob $job, Control $control, array $families): bool
    {
        foreach ($job->plan->items as $item) {
            $bridge = $job->plan->kit[$item->kit]->entry;
            if (
                $bridge instanceof Control &&
                $bridge->kind === 'bridge' &&
                array_intersect($bridge->speaks, $control->speaks) !== [] &&
                array_intersect($bridge->speaks, array_keys($families)) !== []
            ) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Finding> */
    private static function plug(JudgedJob $job, Item $item, Entry $entry, Fields $values): array
    {
        $cable = $job->plan->cables[(string) $item->on];
        $name = strtoupper($cable->id);
        $place = new FindingPlace('wire', $cable->id);
        $amps = round($job->cables()[$cable->id]->openAmps ?? 0.0, 4);
        $may = $values->number('amps', 0.1, 200);
        $pins = $values->whole('pins', 2, 20);
        $cores = \EmberDusk\Rates\Joints::cores($job->plan, $cable);
        $findings = [];
        if ($amps > $may) {
            $findings[] = new Finding(
                code: 'plug-amps',
                severity: Severity::Stop,
                title: sprintf('%s in %s: %.2f A, rated %g A', $entry->name(), $name, $may, $amps),
                detail: 'The stem of a fork carries the current of all branches. Choose a larger one, or feed the branches separately.',
                place: $place,
                number: $amps,
                limit: $may,
                source: Rule::LEAFLET,
            );
        }
        if ($pins < $cores) {
            $findings[] = new Finding(
                code: 'plug-pins',
                severity: Severity::Stop,
                title: "{$entry->name()} in {$name} has {$pins} pins, {$cores} cores are joined",
                detail: 'One pin for + and one for each return, in the same order on both halves.',
                place: $place,
                number: (float) $pins,
                limit: (float) $cores,
                source: Rule::LEAFLET,
            );
        }
        $ends = count(array_filter($job->plan->cables, static fn(LaidCable $c): bool => $c->from === $cable->to));
        $ways = $values->wholeOrNull('ways', 2, 20);
        if ($ways !== null && isset($job->plan->splices[$cable->to]) && $ends > $ways) {
            $findings[] = new Finding(
                code: 'fork-ways',
                severity: Severity::Stop,
                title: "{$entry->name()} in {$name} has {$ways} ends, {$ends} cables go on from it",
                detail: 'Choose a lead with more ends, or add another one to a branch that carries less.',
                place: $place,
                number: (float) $ends,
                limit: (float) $ways,
                source: Rule::LEAFLET,
            );
        }
        $damp = array_filter(
            $job->plan->placesOf($cable),
            static fn(string $p): bool => TapeNotes::read($job->plan->places[$p]->notes ?? '')->site->damp === true,
        );
        if ($damp !== [] && $values->has('seal') && $values->string('seal', 10) === 'none') {
            $findings[] = new Finding(
                code: 'plug-open',
                severity: Severity::Watch,
                title: "{$entry->name()} in {$name} is open where it is damp",
                detail: 'Water between its pins eats them. Take a tight one, or put it in a box.',
                place: $place,
                source: Rule::LEAFLET,
            );
        }

        return $findings;
    }

    /** @return list<Finding> where all halves in one cable are of one gender */
    private static function genders(JudgedJob $job): array
    {
        $halves = [];
        foreach ($job->plan->items as $item) {
            $kit = $job->plan->kit[$item->kit];
            $gender = (new Fields($kit->written))->stringOrNull('gender') ?? 'both';
            if ($kit->kind() === 'plug' && isset($job->plan->cables[$item->on ?? ''])) {
                $halves[(string) $item->on] = [
                    ...$halves[(string) $item->on] ?? [],
                    ...array_fill(0, $item->count, $gender),
                ];
            }
        }
        $findings = [];
        foreach ($halves as $cable => $genders) {
            if (count($genders) > 1 && count(array_unique($genders)) === 1 && $genders[0] !== 'both') {
                $findings[] = new Finding(
                    code: 'plug-gender',
                    severity: Severity::Stop,
                    title: strtoupper($cable) .
                        ': two ' .
                        ($genders[0] === 'male' ? 'plugs' : 'sockets') .
                        ' do not go together',
                    detail: 'Choose a plug and a socket. The side that stays live gets the socket.',
                    place: new FindingPlace('wire', $cable),
                    source: Rule::LEAFLET,
                );
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function set(JudgedJob $job, Item $item, Entry $entry): array
    {
        $run = $job->plan->runs[(string) $item->on];
        $metres = $entry instanceof Thing ? $entry->values->number('metres', 0.1, 1000) : 0.0;
        if ($metres >= $run->length() - 1e-9) {
            return [];
        }

        return [
            new Finding(
                code: 'set-short',
                severity: Severity::Stop,
                title: sprintf('%s is %.2f m short for %s', $entry->name(), $run->length() - $metres, $run->name()),
                detail: 'Sets are not joined end to end: the second one dims. Take a longer one, or single parts.',
                place: new FindingPlace('kit', $run->id),
                number: $metres,
                limit: $run->length(),
                source: Rule::LEAFLET,
            ),
        ];
    }
}
