<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Kit;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Plan\Device;
use EmberDusk\Survey\WallNotes;

/** Supplies, converters and controllers where water amounts to them: tight, or in a closed box. */
final readonly class OpenInDamp extends Check
{
    public function rules(): array
    {
        return [
            new Rule(
                'open-damp',
                'supply',
                'supplies and controllers in a damp place, outdoors or at a damp outlet are tight or in a closed box',
                Rule::PRACTICE,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ([...$job->plan->supplies, ...$job->plan->controllers] as $id => $unit) {
            $kit = $job->plan->kit[$unit->kit];
            $tight =
                ($kit->written['sealed'] ?? false) === true ||
                in_array($kit->written['seal'] ?? 'none', ['splash', 'jet'], true);
            if (!$tight && $kit->kind() !== 'battery' && self::wet($job, $unit)) {
                $findings[] = $this->rule('open-damp')->watch(
                    place: $job->placeOf($id),
                    title: strtoupper($id) . ' is not splash-proof and stands in a damp place',
                    detail: 'Water bridges its terminals' .
                        ($kit->kind() === 'supply' ? '; near mains that can kill' : '') .
                        '. Choose a sealed one, put it into a closed box, or move it to a dry place.' .
                        ($kit->kind() === 'supply' ? ' Mains work is for a licensed person; local codes decide.' : ''),
                );
            }
        }

        return $findings;
    }

    private static function wet(JudgedJob $job, Device $unit): bool
    {
        $run = $job->plan->runs[$job->placeOf($unit->id)->id] ?? null;
        $place = $unit->stands->place ?? ($run->place ?? '');
        $site = WallNotes::read($job->plan->places[$place]->notes ?? '')->site;
        foreach ($site->boxes as $box) {
            if ($unit->stands?->spot === $box->spot->name && $box->air === 'sealed') {
                return false;
            }
        }
        foreach ($site->outlets as $outlet) {
            if ($outlet->damp && $unit->stands?->spot === $outlet->spot->name) {
                return true;
            }
        }
        if ($unit->stands === null && $run !== null) {
            return $job->plan->of($run)->damp();
        }

        return $site->damp === true;
    }
}
