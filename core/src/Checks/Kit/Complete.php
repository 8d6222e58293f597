<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Kit;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Circuit\WiredRun;
use EmberDusk\Kit\Cable;
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
                'lacking',
                Severity::Open,
                $case->run->name() . ' lacks ' . implode(', ', $lacking),
                'Choose them from the shelf; until then nothing can be computed.',
                new Place('kit', $case->run->id),
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
            'cores',
            Severity::Stop,
            sprintf('%s has %d cores, %d are needed', strtoupper($id), $has, $needs),
            'One core for + and one for each channel’s return.',
            new Place('wire', $id),
            $has,
            $needs,
            'common practice, no source',
            $more === null
                ? []
                : [
                    new Fix(strtoupper($id) . ' in ' . $more->name(), [
                        'kind' => 'SetCable',
                        'cable' => $id,
                        'kit' => $more->id(),
                    ]),
                ],
        );
    }

    private function channels(Judged $case, string $id, int $has, int $needs): Finding
    {
        return new Finding(
            'channels',
            Severity::Stop,
            strtoupper($id) . ' has too few channels',
            "It has {$has}, the strip needs {$needs}.",
            new Place('kit', $case->run->id),
            $has,
            $needs,
            'the controller’s leaflet, on the shelf',
            $case->takeFittingController(),
        );
    }
}
