<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use EmberDusk\Checks\Site\BankFindings;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\Clause;
use EmberDusk\Survey\Length;
use EmberDusk\Survey\Site\Battery;
use EmberDusk\Survey\Site\CableLeg;
use EmberDusk\Survey\Site\Radio;
use EmberDusk\Survey\Site\RunNote;
use EmberDusk\Survey\Site\Site;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Survey\WallSheet;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/** Every place with its notes as typed and what they say: the sheet, the runs, power, boxes, legs, networks. */
final readonly class SurveyScreen
{
    public static function picture(JobState $state): SurveyPicture
    {
        return new SurveyPicture(
            places: array_map(
                static fn(Place $p): SurveyPlace => self::place($state->plan, $p, WallNotes::read($p->notes)),
                array_values($state->plan->places),
            ),
            units: StandingRows::units($state->plan),
            terms: $state->plan->terms,
            mountings: RunNote::MOUNTINGS,
            lights: array_map(
                static fn(string $l): SurveyLight => new SurveyLight(key: $l, words: RunNote::CALLED[$l] . ' light'),
                RunNote::LIGHTS,
            ),
            words: Clause::WORDS,
        );
    }

    /** @return list<Figure> */
    public static function ledger(JobState $state): array
    {
        $sites = array_map(
            static fn(Place $p): Site => WallNotes::read($p->notes)->site,
            array_values($state->plan->places),
        );
        $legs = array_merge(...array_map(static fn(Site $s): array => $s->legs, $sites));
        $runs = [];
        foreach (array_values($state->plan->runs) as $n => $run) {
            $runs[] = new Input(
                'L' . ($n + 1),
                $run->name(),
                $state->plan->terms->inUnit($run->length()),
                $state->plan->terms->unit(),
                path: "plan.runs.{$run->id}.length()",
            );
        }
        $measured = count(array_filter($state->plan->places, static fn(Place $p): bool => trim($p->notes) !== ''));
        $count = static fn(string $label, int $value, string $of, string $meaning): Figure => new Figure(
            label: $label,
            value: $value,
            unit: $of,
            decimals: 0,
            formula: 'n',
            inputs: [new Input('n', $meaning, $value, '', path: 'notes: counted in them')],
            assumption: 'Counted in the notes.',
        );

        return [
            new Figure(
                label: 'Strip to light',
                value: array_sum(array_map(static fn(Input $i): float => $i->value, $runs)),
                unit: $state->plan->terms->unit(),
                decimals: 2,
                formula: Input::sum($runs),
                inputs: $runs,
                assumption: 'From the wall notes, last valid version; gaps left out.',
            ),
            $count('Places measured', $measured, 'of ' . count($state->plan->places), 'places with notes'),
            $count(
                'Legs traced',
                count(array_filter($legs, static fn(CableLeg $l): bool => $l->traced || $l->open)),
                'of ' . count($legs),
                'legs with a result',
            ),
            $count(
                'Places to hide kit',
                array_sum(array_map(static fn(Site $s): int => count($s->boxes), $sites)),
                '',
                'boxes',
            ),
            $count(
                'Outlets and spurs',
                array_sum(array_map(static fn(Site $s): int => count($s->outlets), $sites)),
                '',
                'outlets and spurs',
            ),
        ];
    }

    /** Straight line between a run's ends, where the notes show them. */
    public static function apart(Plan $plan, Run $run): ?Figure
    {
        $metres = $plan->of($run)->endsApart();
        $apart = $plan->terms->inUnit($metres ?? 0.0);
        $unit = $plan->terms->unit();
        if ($metres === null) {
            return null;
        }

        return new Figure(
            label: $run->name() . ': ends apart',
            value: $apart,
            unit: $unit,
            decimals: 2,
            formula: 'd',
            inputs: [
                new Input(
                    'd',
                    'straight line between the two ends',
                    $apart,
                    $unit,
                    path: "plan.runs.{$run->id}: its two ends on the sheet",
                ),
            ],
            assumption: 'Within 1 m the eye compares the two ends: the seam rule applies.',
            source: 'common practice, no source',
        );
    }

    private static function place(Plan $plan, Place $place, WallSheet $sheet): SurveyPlace
    {
        $site = $sheet->site;
        $say = static fn(float $metres): string => Length::say($metres, $sheet->system);
        $runs = array_values(array_filter($plan->runs, static fn(Run $r): bool => $r->place === $place->id));

        return new SurveyPlace(
            id: $place->id,
            name: $place->name,
            notes: $place->notes,
            facts: implode(
                ', ',
                array_filter([
                    self::floor($site->floor),
                    $site->height === null ? '' : $say($site->height) . ' high',
                    match ($site->damp) {
                        null => '',
                        true => 'damp',
                        false => 'dry',
                    },
                ]),
            ),
            state: match (true) {
                trim($place->notes) === '' => 'empty',
                $sheet->slips === [] => 'read',
                default => 'slips',
            },
            sheet: SheetPicture::for($sheet, $sheet->system),
            runs: array_map(
                static fn(Run $r): SurveyRun => new SurveyRun(
                    id: $r->id,
                    name: $r->name(),
                    length: self::length($plan, $r),
                    apart: self::apart($plan, $r),
                    mounting: $r->mounting,
                    light: $r->light,
                    height: $r->height === null ? '' : $say($r->height),
                    pixels: $plan->of($r)->pixels(),
                    columns: $plan->of($r)->matrix()->columns ?? 0,
                    rows: $plan->of($r)->matrix()->rows ?? 0,
                    matrix: $plan->of($r)->matrix()?->words() ?? '',
                    fixed: $plan->of($r)->directed(),
                ),
                $runs,
            ),
            boxes: StandingRows::boxes($plan, $place, $sheet),
            legs: array_map(
                static fn(CableLeg $l): SurveyLeg => new SurveyLeg(
                    name: $l->name,
                    way: "{$l->from} to " . ($l->to ?? '?'),
                    text: SheetPicture::legText($l, $sheet->system),
                    laid: trim($l->laid . ($l->guessed ? ', guessed' : ''), ', '),
                    state: self::legState($l),
                    line: $l->span->line,
                ),
                $site->legs,
            ),
            near: array_map(
                static fn(array $legs, string $near): NearPoint => new NearPoint(near: $near, legs: $legs),
                $near = self::near($site),
                array_keys($near),
            ),
            batteries: array_map(
                static fn(Battery $b): BatteryView => new BatteryView(
                    name: $b->spot->name,
                    text: self::battery($b),
                    volts: BankFindings::figures($b),
                    caution: BankFindings::CAUTION,
                ),
                $site->batteries,
            ),
            radios: array_map(
                static fn(Radio $r): string => ($r->kind === Radio::WIFI ? 'Wi-Fi' : 'Zigbee hub') .
                    ' channel ' .
                    ($r->channel ?? '?') .
                    ($r->where === '' ? '' : ", {$r->where}"),
                $site->radios,
            ),
        );
    }

    private static function length(Plan $plan, Run $run): Figure
    {
        $inputs = [];
        foreach ($run->sections as $n => $length) {
            $inputs[] = new Input(
                'L' . ($n + 1),
                'section ' . ($n + 1) . ' (' . $plan->terms->say($length) . ')',
                $plan->terms->inUnit($length),
                $plan->terms->unit(),
                path: "plan.runs.{$run->id}.sections.{$n}",
            );
        }

        return new Figure(
            label: $run->name(),
            value: $plan->terms->inUnit($run->length()),
            unit: $plan->terms->unit(),
            decimals: 2,
            formula: Input::sum($inputs),
            inputs: $inputs,
            assumption: 'From the wall notes, last valid version; gaps left out.',
        );
    }

    /** @return array<string, list<string>> names of the legs that begin at one point, where there is more than one */
    private static function near(Site $site): array
    {
        $near = [];
        foreach ($site->legs as $leg) {
            $near[$leg->from][] = $leg->name;
        }

        return $near;
    }

    private static function legState(CableLeg $leg): string
    {
        return match (true) {
            $leg->open => 'no tone',
            $leg->broken !== [] => 'core ' . implode(' and ', $leg->broken) . ' broken',
            $leg->joined !== null => "joined with {$leg->joined}",
            $leg->traced => 'traced',
            default => 'not traced',
        };
    }

    private static function battery(Battery $b): string
    {
        return sprintf(
            '%d of %g V%s, %g V%s%s%s%s',
            $b->blocks,
            $b->blockVolts,
            $b->rows > 1 ? " in {$b->rows} rows" : '',
            $b->volts(),
            $b->holds() === null ? '' : sprintf(', %g Ah', $b->holds()),
            $b->wants === null ? '' : sprintf(', lights need %g V', $b->wants),
            $b->fitted ? ', there already' : '',
            $b->keyed ? ', live with the key only' : '',
        );
    }

    private static function floor(?int $floor): string
    {
        return match (true) {
            $floor === null => '',
            $floor === 0 => 'ground floor',
            $floor < 0 => 'floor ' . $floor . ' below ground',
            default => "floor {$floor}",
        };
    }
}
