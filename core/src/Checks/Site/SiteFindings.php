<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Site;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Protection\TouchVoltage;
use EmberDusk\Checks\Rule;
use EmberDusk\Plan\Changes\Places\ReviseNotes;
use EmberDusk\Plan\Changes\Runs\NoteRun;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Place as Room;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Reach\Channels;
use EmberDusk\Survey\Site\Box;
use EmberDusk\Survey\Site\Radio;
use EmberDusk\Survey\Site\Site;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Survey\WallText;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** Open questions and problems of the survey: damp, mounting, legs, boxes, power, radio channels. */
final readonly class SiteFindings extends Check
{
    public function rules(): array
    {
        return [
            new Rule('damp', 'place', 'each place is marked dry or damp', 'IEC 60364-4-41, from memory'),
            new Rule('mounting', 'run', 'it is known how a run is mounted', Rule::OWN),
            new Rule('damp-run', 'run', 'no open strip is bare in a damp place', Rule::PRACTICE),
            new Rule('run-unmeasured', 'run', 'described lengths are measured', Rule::OWN),
            new Rule('sealed-box', 'place', 'a box with a supply has ventilation', Rule::PRACTICE),
            new Rule('box-open', 'place', 'size, air and access of a box are known', Rule::OWN),
            new Rule(
                'channel',
                'place',
                'Zigbee channels are clear of the Wi-Fi on site',
                'IEEE 802.15.4 and IEEE 802.11, from memory',
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $state = $job->state;
        $findings = [];
        $radios = [];
        foreach ($state->plan->places as $id => $place) {
            $sheet = WallNotes::read($place->notes);
            if (trim($place->notes) === '' || $sheet->slips !== []) {
                continue;
            }
            $site = $sheet->site;
            $runs = array_filter($state->plan->runs, static fn(Run $r): bool => $r->place === $id);
            array_push(
                $findings,
                ...$this->damp($place, $site),
                ...$this->mounting($state->plan, $runs, $site),
                ...$this->boxes($state->plan, $place, $site),
            );
            array_push($radios, ...array_map(static fn(Radio $r): array => [$id, $r], $site->radios));
        }

        return [...$findings, ...$this->channels($radios)];
    }

    /** @return list<Finding> */
    private function damp(Room $place, Site $site): array
    {
        if ($site->damp !== null) {
            return [];
        }
        $say = static fn(string $word): Fix => new Fix(
            ucfirst($word),
            ReviseNotes::payload(place: $place->id, text: (new WallText($place->notes))->added($word)),
        );

        return [
            $this->rule('damp')->open(
                place: new FindingPlace(JobStage::Survey, $place->id),
                title: "Is {$place->name} dry or damp?",
                detail: 'It decides the touch voltage limit and the sealing.',
                source: sprintf(
                    'IEC 60364-4-41 (from memory): %g V d.c. dry, %g V damp',
                    TouchVoltage::limit(false),
                    TouchVoltage::limit(true),
                ),
                fixes: [$say('dry'), $say('damp')],
            ),
        ];
    }

    /**
     * @param  array<string, Run>  $runs
     * @return list<Finding>
     */
    private function mounting(Plan $plan, array $runs, Site $site): array
    {
        $findings = [];
        foreach ($runs as $id => $run) {
            $note = $site->runs[$run->word] ?? null;
            $fix = static fn(string $how): Fix => new Fix(
                ucfirst($how),
                NoteRun::payload(run: $id, word: $how, on: true),
            );
            if ($run->mounting === []) {
                $findings[] = $this->rule('mounting')->open(
                    place: new FindingPlace(JobStage::Survey, "{$run->place}:run:{$run->word}"),
                    title: "How is {$run->name()} mounted?",
                    detail: 'Profile, bare, outdoors, moving or removable: it decides fixing, sealing and cooling.',
                    fixes: array_map($fix, ['profile', 'bare']),
                );
            }
            if (
                $site->damp === true &&
                $note !== null &&
                array_intersect($run->mounting, ['profile', 'outdoors']) === [] &&
                !$plan->of($run)->sealed()
            ) {
                $findings[] = $this->rule('damp-run')->watch(
                    place: new FindingPlace(JobStage::Survey, "{$run->place}:run:{$run->word}"),
                    title: "{$run->name()} is bare in a damp place",
                    detail: 'Water on pads corrodes the copper. Use a gasketed profile or a splash-proof strip.',
                    fixes: [new Fix('Use a profile', NoteRun::payload(run: $id, word: 'profile', on: true))],
                );
            }
        }
        foreach (array_diff_key($site->runs, array_column($runs, null, 'word')) as $word => $note) {
            $findings[] = $this->rule('run-unmeasured')->open(
                place: new FindingPlace(
                    JobStage::Survey,
                    array_key_first($runs) === null ? '' : reset($runs)->place . ':' . $note->span->line,
                ),
                title: ucfirst($word) . ' is described but not measured',
                detail: 'Add its name to the wall that it follows, such as “5.20 ' . $word . '”.',
            );
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function boxes(Plan $plan, Room $place, Site $site): array
    {
        $findings = [];
        foreach ($site->boxes as $box) {
            $at = new FindingPlace(JobStage::Survey, "{$place->id}:{$box->spot->word->line}");
            // A supply in it is judged by its own rating.
            $held = array_filter(
                $plan->supplies,
                static fn(Device $d): bool => $d->stands?->place === $place->id &&
                    $d->stands->spot === $box->spot->name,
            );
            if ($box->air === 'sealed' && $held === []) {
                $findings[] = $this->rule('sealed-box')->watch(
                    place: $at,
                    title: "{$box->spot->name} has no ventilation",
                    detail: 'A supply in a sealed box gets hot and derates. Vent it, or put the supply elsewhere.',
                );
            }
            if ($box->air === '' || $box->access === '' || $box->size === null) {
                $missing = array_keys(
                    array_filter([
                        'size' => $box->size === null,
                        'air (' . implode(', ', Box::AIR) . ')' => $box->air === '',
                        'access (' . implode(', ', Box::ACCESS) . ')' => $box->access === '',
                    ]),
                );
                $findings[] = $this->rule('box-open')->open(
                    place: $at,
                    title: "{$box->spot->name} lacks " . implode(', ', $missing),
                    detail: 'It decides what kit fits there.',
                );
            }
        }

        return $findings;
    }

    /**
     * @param  list<array{string, Radio}>  $radios  with their places
     * @return list<Finding>
     */
    private function channels(array $radios): array
    {
        $wifi = array_values(
            array_unique(
                array_filter(
                    array_map(
                        static fn(array $r): ?int => $r[1]->kind === Radio::WIFI ? $r[1]->channel : null,
                        $radios,
                    ),
                ),
            ),
        );
        $findings = [];
        foreach ($radios as [$place, $radio]) {
            if ($radio->kind !== Radio::HUB || $radio->channel === null) {
                continue;
            }
            $over = array_filter($wifi, static fn(int $w): bool => Channels::overlap($radio->channel, $w));
            if ($over !== []) {
                $free = Channels::free($wifi);
                $findings[] = $this->rule('channel')->watch(
                    place: new FindingPlace(JobStage::Survey, $place),
                    title: "Zigbee channel {$radio->channel} overlaps Wi-Fi channel " . implode(' and ', $over),
                    detail: sprintf(
                        '%d MHz is less than 11 MHz from %d MHz. %s',
                        Channels::zigbee($radio->channel),
                        Channels::wifi(reset($over)),
                        $free === []
                            ? 'No Zigbee channel is free of the Wi-Fi here.'
                            : 'Free of the Wi-Fi here: ' .
                                implode(', ', array_slice($free, 0, 4)) .
                                '. A hub that changes channel keeps its lights only if its app says so.',
                    ),
                    number: $radio->channel,
                    source: 'IEEE 802.15.4 and IEEE 802.11 channel plans',
                );
            }
        }

        return $findings;
    }
}
