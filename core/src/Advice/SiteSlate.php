<?php

declare(strict_types=1);

namespace EmberDusk\Advice;

use EmberDusk\Measure\Site\Box;
use EmberDusk\Measure\Site\CableLeg;
use EmberDusk\Measure\Site\Radio;
use EmberDusk\Measure\Site\Site;
use EmberDusk\Measure\TapeNotes;
use EmberDusk\Measure\TapeText;
use EmberDusk\Plan\Place as Room;
use EmberDusk\Plan\Run;
use EmberDusk\Reach\Channels;
use EmberDusk\Workings\Finding;
use EmberDusk\Workings\Fix;
use EmberDusk\Workings\Place;
use EmberDusk\Workings\Severity;

/** What the survey leaves open or what speaks against what was found: damp, mounting, legs, boxes, power, radio channels. */
final readonly class SiteSlate
{
    /** @return list<Finding> */
    public static function of(Work $work): array
    {
        $findings = [];
        $radios = [];
        foreach ($work->plan->places as $id => $place) {
            $sheet = TapeNotes::read($place->notes);
            if (trim($place->notes) === '' || $sheet->slips !== []) {
                continue;
            }
            $site = $sheet->site;
            $runs = array_filter($work->plan->runs, static fn (Run $r): bool => $r->place === $id);
            array_push($findings, ...self::damp($place, $site), ...self::mounting($runs, $site), ...self::power($place, $site, $runs),
                ...self::legs($place, $site), ...self::boxes($place, $site), ...BankSlate::of($place, $site, $work->shelf));
            array_push($radios, ...array_map(static fn (Radio $r): array => [$id, $r], $site->radios));
        }

        return [...$findings, ...self::channels($radios)];
    }

    /** @return list<Finding> */
    private static function damp(Room $place, Site $site): array
    {
        if ($site->damp !== null) {
            return [];
        }
        $say = static fn (string $word): Fix => new Fix(ucfirst($word), ['kind' => 'ReviseNotes', 'place' => $place->id, 'text' => TapeText::added($place->notes, $word)]);

        return [new Finding('damp', Severity::Open, "Is {$place->name} dry or damp?", 'It decides what may be touched and what must be sealed.',
            new Place('survey', $place->id), null, null, 'IEC 60364-4-41 (from memory): 60 V d.c. dry, 30 V damp', [$say('dry'), $say('damp')])];
    }

    /**
     * @param  array<string, Run>  $runs
     * @return list<Finding>
     */
    private static function mounting(array $runs, Site $site): array
    {
        $findings = [];
        foreach ($runs as $id => $run) {
            $note = $site->runs[$run->word] ?? null;
            $fix = static fn (string $how): Fix => new Fix(ucfirst($how), ['kind' => 'NoteRun', 'run' => $id, 'word' => $how, 'on' => true]);
            if ($run->mounting === []) {
                $findings[] = new Finding('mounting', Severity::Open, "How is {$run->name()} mounted?", 'Profile, bare, outdoors, moving or removable: it decides fixing, sealing and cooling.',
                    new Place('survey', "{$run->place}:run:{$run->word}"), null, null, '', array_map($fix, ['profile', 'bare']));
            }
            if ($site->damp === true && $note !== null && array_intersect($run->mounting, ['profile', 'outdoors']) === []) {
                $findings[] = new Finding('damp-run', Severity::Watch, "{$run->name()} is bare in a damp place", 'Water on pads lets the copper rot. Put it into a gasketed profile or take a splash-proof strip.',
                    new Place('survey', "{$run->place}:run:{$run->word}"), null, null, 'common practice, no source',
                    [new Fix('Into a profile', ['kind' => 'NoteRun', 'run' => $id, 'word' => 'profile', 'on' => true])]);
            }
        }
        foreach (array_diff_key($site->runs, array_column($runs, null, 'word')) as $word => $note) {
            $findings[] = new Finding('run-unmeasured', Severity::Open, ucfirst($word).' is described but not measured', 'Write its word behind the wall that it follows, such as “5.20 '.$word.'”.',
                new Place('survey', array_key_first($runs) === null ? '' : reset($runs)->place.':'.$note->span->line));
        }

        return $findings;
    }

    /**
     * @param  array<string, Run>  $runs
     * @return list<Finding>
     */
    private static function power(Room $place, Site $site, array $runs): array
    {
        $findings = [];
        if ($runs !== [] && $site->outlets === [] && $site->batteries === [] && $site->legs === []) {
            $findings[] = new Finding('no-power', Severity::Open, "Where is power in {$place->name}?", 'Write an outlet, a spur, a battery or a leg that comes from one, such as “outlet P1 dais, circuit C2”.', new Place('survey', $place->id));
        }
        foreach ($site->outlets as $outlet) {
            if ($outlet->keyed) {
                $findings[] = new Finding('keyed', Severity::Watch, "{$outlet->spot->name} is live with the key only", 'What hangs on it loses its power when the key is turned: hubs fall off, and a controller takes its power-on state each time.',
                    new Place('survey', "{$place->id}:{$outlet->spot->word->line}"), null, null, 'common practice, no source');
            }
            if ($outlet->damp || $site->damp === true) {
                $findings[] = new Finding('damp-outlet', Severity::Watch, "{$outlet->spot->name} is in a damp place", 'Work on mains is for a licensed person; residual-current protection and the tightness of the box are theirs to judge by local rules.',
                    new Place('survey', "{$place->id}:{$outlet->spot->word->line}"), null, null, 'local rules decide');
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function legs(Room $place, Site $site): array
    {
        $untraced = array_filter($site->legs, static fn (CableLeg $l): bool => ! $l->traced && ! $l->open);
        $findings = [];
        if ($untraced !== []) {
            $names = implode(', ', array_map(static fn (CableLeg $l): string => $l->name, $untraced));
            $findings[] = new Finding('untraced', Severity::Open, count($untraced) === 1 ? "Leg {$names} is not traced" : "Legs {$names} are not traced",
                'Disconnect every leg, prove it dead, then trace: which is which decides what may carry the light.', new Place('survey', "{$place->id}:trace"), null, null, 'common practice, no source');
        }
        foreach ($site->legs as $leg) {
            $at = new Place('survey', "{$place->id}:{$leg->span->line}");
            if ($leg->open || $leg->broken !== []) {
                $findings[] = new Finding('broken', Severity::Watch, $leg->open ? "Leg {$leg->name} gives no tone" : "Leg {$leg->name}: core ".implode(' and ', $leg->broken).' is broken',
                    'It carries nothing until it is mended or replaced.', $at);
            }
            if ($leg->joined !== null) {
                $findings[] = new Finding('joined', Severity::Watch, "Legs {$leg->name} and {$leg->joined} are joined on the way", 'There is a box between them that nobody has seen. Find and part it before either is used.', $at);
            }
            if ($leg->to === null) {
                $findings[] = new Finding('loose-end', Severity::Open, "Leg {$leg->name} ends somewhere", 'Nobody knows where. Write its far end in place of the “?” once it is found.', $at);
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function boxes(Room $place, Site $site): array
    {
        $findings = [];
        foreach ($site->boxes as $box) {
            $at = new Place('survey', "{$place->id}:{$box->spot->word->line}");
            if ($box->air === 'sealed') {
                $findings[] = new Finding('sealed-box', Severity::Watch, "{$box->spot->name} has no air", 'A supply in a sealed box gets hot and derates. Vent it, or put the supply elsewhere.', $at, null, null, 'common practice, no source');
            }
            if ($box->air === '' || $box->access === '' || $box->size === null) {
                $missing = array_keys(array_filter(['size' => $box->size === null, 'air ('.implode(', ', Box::AIR).')' => $box->air === '', 'access ('.implode(', ', Box::ACCESS).')' => $box->access === '']));
                $findings[] = new Finding('box-open', Severity::Open, "{$box->spot->name} lacks ".implode(', ', $missing), 'It decides what can hide there.', $at);
            }
        }

        return $findings;
    }

    /**
     * @param  list<array{string, Radio}>  $radios  with their places
     * @return list<Finding>
     */
    private static function channels(array $radios): array
    {
        $wifi = array_values(array_unique(array_filter(array_map(static fn (array $r): ?int => $r[1]->kind === Radio::WIFI ? $r[1]->channel : null, $radios))));
        $findings = [];
        foreach ($radios as [$place, $radio]) {
            if ($radio->kind !== Radio::HUB || $radio->channel === null) {
                continue;
            }
            $over = array_filter($wifi, static fn (int $w): bool => Channels::overlap($radio->channel, $w));
            if ($over !== []) {
                $free = Channels::free($wifi);
                $findings[] = new Finding('channel', Severity::Watch, "Zigbee channel {$radio->channel} lies inside Wi-Fi channel ".implode(' and ', $over),
                    sprintf('%d MHz is less than 11 MHz from %d MHz. %s', Channels::zigbee($radio->channel), Channels::wifi(reset($over)),
                        $free === [] ? 'No Zigbee channel is free of the Wi-Fi here.' : 'Free of the Wi-Fi here: '.implode(', ', array_slice($free, 0, 4)).'. A hub that moves takes its lights along only if its app says so.'),
                    new Place('survey', $place), $radio->channel, null, 'IEEE 802.15.4 and IEEE 802.11 channel plans');
            }
        }

        return $findings;
    }
}
