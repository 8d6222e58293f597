<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Kit;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Formats\Fields;
use EmberDusk\Joining\Unit;
use EmberDusk\Kit\Control;
use EmberDusk\Kit\ControlWay;
use EmberDusk\Kit\Entry;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Thing;
use EmberDusk\Plan\Changes\Kit\SetItem;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** Other items: whether their run, supply or cable exists, their radio fits, and their ratings are kept. */
final readonly class Items extends Check
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
            if (self::lost($job, $item, $kit)) {
                $findings[] = $this->nowhere($item, $kit->entry);

                continue;
            }
            array_push(
                $findings,
                ...match (true) {
                    $kit->entry instanceof Control => $this->control($job, $item, $kit->entry),
                    $kind === 'plug', $kind === 'fork' => $this->plug(
                        $job,
                        $item,
                        $kit->entry,
                        new Fields($kit->written),
                    ),
                    $kind === 'set' => $this->set($job, $item, $kit->entry),
                    default => [],
                },
            );
        }

        return [...$findings, ...$this->genders($job)];
    }

    private static function lost(JudgedJob $job, Item $item, KitSnapshot $kit): bool
    {
        return $kit->beside()?->on !== '' && !isset(SetItem::allowed($job->plan, $kit->kind())[$item->on ?? '']);
    }

    private function nowhere(Item $item, Entry $entry): Finding
    {
        return $this->rule('item-on')->open(
            place: new FindingPlace(JobStage::Kit, $item->id),
            title: $entry->name() . ' is assigned to nothing',
            detail: 'Choose what it belongs to, or remove it: a set belongs to a run, modules to a supply, a plug to a cable.',
            fixes: [
                new Fix('Remove it', SetItem::payload(kit: $item->kit, place: $item->place, count: 0, item: $item->id)),
            ],
        );
    }

    /** @param  array<string>  $ways  of control */
    private static function ways(array $ways): string
    {
        return implode(', ', array_map(static fn(string $w): string => ControlWay::tryFrom($w)?->word() ?? $w, $ways));
    }

    /** @return list<Finding> */
    private function control(JudgedJob $job, Item $item, Control $control): array
    {
        $findings = [];
        $families = $job->plan->controlWays();
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
            $findings[] = $this->rule('item-speaks')->watch(
                place: new FindingPlace(JobStage::Kit, $item->id),
                title: $control->name() . ' cannot control any light here',
                detail: $control->readsHub
                    ? 'It reads a hub, and the job has none. Choose a hub, or remove it.'
                    : 'It speaks ' .
                        self::ways($control->speaks) .
                        '; the job speaks ' .
                        self::ways(array_filter(array_keys($families))) .
                        '. Choose one of the same kind, or add a bridge.',
            );
        }
        $site = WallNotes::read($job->plan->places[$item->place]->notes ?? '')->site;
        if ($control->mains && $site->outlets === []) {
            $findings[] = $this->rule('panel-mains')->watch(
                place: new FindingPlace(JobStage::Kit, $item->id),
                title: $control->name() . ' needs mains, and none is known there',
                detail: 'A spur for it is laid by a licensed person; add it at Survey, or choose a battery panel.',
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
                $bridge->beside()?->role === Unit::BRIDGE &&
                array_intersect($bridge->speaks, $control->speaks) !== [] &&
                array_intersect($bridge->speaks, array_keys($families)) !== []
            ) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Finding> */
    private function plug(JudgedJob $job, Item $item, Entry $entry, Fields $values): array
    {
        $cable = $job->plan->cables[(string) $item->on];
        $name = strtoupper($cable->id);
        $place = new FindingPlace(JobStage::Wire, $cable->id);
        $amps = round($job->cables()[$cable->id]->openAmps ?? 0.0, 4);
        $may = $values->number('amps', 0.1, 200);
        $pins = $values->whole('pins', 2, 20);
        $cores = (new \EmberDusk\Rates\Joints($job->plan))->cores($cable);
        $findings = [];
        if ($amps > $may) {
            $findings[] = $this->rule('plug-amps')->stop(
                place: $place,
                title: sprintf('%s in %s: %.2f A, rated %g A', $entry->name(), $name, $may, $amps),
                detail: 'The stem of a fork carries the current of all branches. Choose a larger one, or feed the branches separately.',
                number: $amps,
                limit: $may,
            );
        }
        if ($pins < $cores) {
            $findings[] = $this->rule('plug-pins')->stop(
                place: $place,
                title: "{$entry->name()} in {$name} has {$pins} pins, {$cores} cores are joined",
                detail: 'One pin for + and one for each return, in the same order on both halves.',
                number: (float) $pins,
                limit: (float) $cores,
            );
        }
        $ends = count(array_filter($job->plan->cables, static fn(LaidCable $c): bool => $c->from === $cable->to));
        $ways = $values->wholeOrNull('ways', 2, 20);
        if ($ways !== null && isset($job->plan->splices[$cable->to]) && $ends > $ways) {
            $findings[] = $this->rule('fork-ways')->stop(
                place: $place,
                title: "{$entry->name()} in {$name} has {$ways} ends, {$ends} cables connect to it",
                detail: 'Choose a lead with more ends, or add another one to a branch that carries less.',
                number: (float) $ends,
                limit: (float) $ways,
            );
        }
        $damp = array_filter(
            $job->plan->ways()->placesOf($cable),
            static fn(string $p): bool => WallNotes::read($job->plan->places[$p]->notes ?? '')->site->damp === true,
        );
        if ($damp !== [] && $values->has('seal') && $values->string('seal', 10) === 'none') {
            $findings[] = $this->rule('plug-open')->watch(
                place: $place,
                title: "{$entry->name()} in {$name} is open where it is damp",
                detail: 'Water corrodes its pins. Choose a sealed one, or put it into a box.',
            );
        }

        return $findings;
    }

    /** @return list<Finding> where all halves in one cable are of one gender */
    private function genders(JudgedJob $job): array
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
                $findings[] = $this->rule('plug-gender')->stop(
                    place: new FindingPlace(JobStage::Wire, $cable),
                    title: strtoupper($cable) .
                        ': two ' .
                        ($genders[0] === 'male' ? 'plugs' : 'sockets') .
                        ' do not go together',
                    detail: 'Choose a plug and a socket. The side that stays live gets the socket.',
                );
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function set(JudgedJob $job, Item $item, Entry $entry): array
    {
        $run = $job->plan->runs[(string) $item->on];
        $metres = $entry instanceof Thing ? $entry->values->number('metres', 0.1, 1000) : 0.0;
        if ($metres >= $run->length() - 1e-9) {
            return [];
        }

        return [
            $this->rule('set-short')->stop(
                place: new FindingPlace(JobStage::Kit, $run->id),
                title: sprintf('%s is %.2f m short for %s', $entry->name(), $run->length() - $metres, $run->name()),
                detail: 'Sets are not joined end to end: the second one dims. Choose a longer one, or single parts.',
                number: $metres,
                limit: $run->length(),
            ),
        ];
    }
}
