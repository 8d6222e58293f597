<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Ratings;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KindField;
use EmberDusk\Kit\Kinds;
use EmberDusk\Kit\Rating;
use EmberDusk\Plan\Changes\Kit\RefreshKit;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Severity;

/**
 * Compares every rating of every entry in the plan with its actual value. A rating with its own check (`code` in core/data/kinds.json) is left to
 * that check.
 */
final readonly class Ratings extends Check
{
    /** Times an assumed limit beyond which a finding stops the job. */
    private const FAR = 1.2;

    /** @return array<string, Quantity> by their keys in core/data/kinds.json */
    public static function quantities(): array
    {
        return [
            'input-volts' => new InputVolts(),
            'fuse-volts' => new FuseVolts(),
            'air' => new AirTemperature(),
            'dimming' => new DimmingFrequency(),
            'terminal' => new TerminalWire(),
            'strip-width' => new StripWidth(),
            'relay-amps' => new RelayAmps(),
            'held-mass' => new HeldMass(),
        ];
    }

    public function rules(): array
    {
        return [
            ...array_map(
                static fn(Quantity $q): Rule => new Rule($q->code(), $q->subject(), $q->rule(), Rule::LEAFLET),
                array_values(self::quantities()),
            ),
            new Rule('no-rating', 'job', 'limits without a safe default are entered', Rule::OWN),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        $missing = [];
        foreach (KitUse::all($job) as $part) {
            foreach (Kinds::get($part->kit->kind())->rated ?? [] as $field) {
                $found = $this->field($job, $part, $field, $field->rates);
                if ($found instanceof Finding) {
                    $findings[] = $found;
                } elseif ($found === false) {
                    $missing["{$part->list} {$part->id}"][] = [$part, $field];
                }
            }
        }

        return [
            ...$findings,
            ...array_map(fn(array $fields): Finding => $this->missing($job, $fields), array_values($missing)),
        ];
    }

    /** @return Finding|false|null a finding; false where the limit is missing and has to be entered */
    private function field(JudgedJob $job, KitUse $part, KindField $field, ?Rating $rating): Finding|false|null
    {
        $quantity = self::quantities()[$rating->quantity ?? ''] ?? null;
        if ($rating === null || $quantity === null) {
            return null;
        }
        $entry = new Fields($part->kit->written);
        $stated = $entry->numberOrNull($field->key);
        $range = $stated === null && !$quantity->assumes($job, $part) ? null : $quantity->range($job, $part);
        if ($range === null) {
            return null;
        }
        $limit = $stated ?? $rating->safeFor($entry);
        if ($limit === null) {
            return false;
        }
        $most = $rating->side === 'most';
        $number = round($most ? $range->high : $range->low, 4);
        if ($most ? $number <= $limit : $number >= $limit) {
            return null;
        }
        $far = $most && $number > self::FAR * $limit;

        return $this->rule($quantity->code())->finding(
            severity: $stated === null && !$far ? Severity::Watch : $rating->severity,
            place: $part->place,
            title: "{$part->label}: {$quantity->words($number, $limit, $most)}",
            detail: $quantity->advice() .
                ($stated === null
                    ? sprintf(
                        ' Its entry gives no limit; %g %s is assumed. Enter the figure of its instructions on the shelf.',
                        $limit,
                        $quantity->unit(),
                    )
                    : ''),
            number: $number,
            limit: $limit,
            source: $stated === null ? Rule::PRACTICE : $rating->source,
        );
    }

    /** @param  non-empty-list<array{KitUse, KindField}>  $fields  of one unit */
    private function missing(JudgedJob $job, array $fields): Finding
    {
        [$part] = $fields[0];
        $names = array_map(static fn(array $f): string => mb_strtolower($f[1]->label), $fields);

        return $this->rule('no-rating')->open(
            place: $part->place,
            title: "{$part->label}: " . implode(', ', $names) . ' not entered',
            detail: "Read it in the instructions of {$part->kit->entry->name()}, enter it on the shelf and update the job’s copy.",
            fixes: self::known($job, $part, $fields)
                ? [new Fix('Update from the shelf', RefreshKit::payload($part->kit->entry->id()))]
                : [],
        );
    }

    /**
     * Whether the shelf has the limits by now.
     *
     * @param  non-empty-list<array{KitUse, KindField}>  $fields
     */
    private static function known(JudgedJob $job, KitUse $part, array $fields): bool
    {
        $now = $job->shelf?->find($part->kit->entry->id());
        if ($now === null) {
            return false;
        }
        $entry = new Fields($now->written);

        return array_filter($fields, static fn(array $f): bool => !$entry->has($f[1]->key)) === [];
    }
}
