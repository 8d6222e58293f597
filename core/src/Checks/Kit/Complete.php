<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Kit;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Circuit\WiredRun;
use EmberDusk\Kit\Cable;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** A run has all its kit, every cable a core for + and one for each return, the controller a channel for each. */
final readonly class Complete implements Check
{
    public function check(Judged $case): array
    {
        $findings = [];
        $lacking = WiredRun::lacking($case->plan, $case->run);
        if ($lacking !== []) {
            $findings[] = new Finding(
                code: 'lacking',
                severity: Severity::Open,
                title: $case->run->name() . ' lacks ' . implode(', ', $lacking),
                detail: 'Choose them from the shelf; until then nothing can be computed.',
                place: new Place('kit', $case->run->id),
            );
        }
        foreach (WiredRun::short($case->plan, $case->run) as $id => [$has, $needs]) {
            $findings[] = isset($case->plan->cables[$id])
                ? $this->cores($case, $id, $has, $needs)
                : $this->channels($case, $id, $has, $needs);
        }

        return $findings;
    }

    private function cores(Judged $case, string $id, int $has, int $needs): Finding
    {
        $now = $case->plan->cable($case->plan->cables[$id]->kit);
        $more = $case->smallest(
            Cable::class,
            static fn(Cable $c): bool => $c->cores >= $needs && $c->conductor->label() === $now?->conductor->label(),
            static fn(Cable $c): float => $c->cores,
        );

        return new Finding(
            code: 'cores',
            severity: Severity::Stop,
            title: sprintf('%s has %d cores, %d are needed', strtoupper($id), $has, $needs),
            detail: 'One core for + and one for each channel’s return.',
            place: new Place('wire', $id),
            number: $has,
            limit: $needs,
            source: 'common practice, no source',
            fixes: $more === null
                ? []
                : [new Fix(strtoupper($id) . ' in ' . $more->name(), SetCable::payload(cable: $id, kit: $more->id()))],
        );
    }

    private function channels(Judged $case, string $id, int $has, int $needs): Finding
    {
        return new Finding(
            code: 'channels',
            severity: Severity::Stop,
            title: strtoupper($id) . ' has too few channels',
            detail: "It has {$has}, the strip needs {$needs}.",
            place: new Place('kit', $case->run->id),
            number: $has,
            limit: $needs,
            source: 'the controller’s leaflet, on the shelf',
            fixes: $case->takeFittingController(),
        );
    }
}
