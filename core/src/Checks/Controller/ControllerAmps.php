<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Controller;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Checks\Rule;
use EmberDusk\Circuit\ControllerLoad;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Strip;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** A channel and the entire controller stay within their rated amps. */
final readonly class ControllerAmps extends Check
{
    public function rules(): array
    {
        return [
            new Rule(
                'controller-amps',
                'controller',
                'each channel and the total load of a controller stay within its rated amps and watts',
                Rule::LEAFLET,
                binds: PlannerLimit::Controller,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        $seen = [];
        foreach ($job->runs() as $case) {
            $id = $case->run->controller;
            if ($id === null || isset($seen[$id]) || $case->controller === null || $case->strip?->switched() !== true) {
                continue;
            }
            $seen[$id] = true;
            $load = $job->controller($id);
            if (self::over($load) > 1.0) {
                $findings[] = $this->finding($case, $case->controller, $load);
            }
        }

        return $findings;
    }

    /** Load of a controller over its rating, at the limit that is reached first. */
    public static function over(ControllerLoad $load): float
    {
        $controller = $load->controller;
        if ($controller === null) {
            return 0.0;
        }

        return round(max($load->fullest() / $controller->channelAmps, $load->amps / $controller->totalAmps), 4);
    }

    private function finding(JudgedRun $case, Controller $controller, ControllerLoad $load): Finding
    {
        $channel = $load->fullest() / $controller->channelAmps >= $load->amps / $controller->totalAmps;

        return $this->rule('controller-amps')->stop(
            place: new FindingPlace(JobStage::Kit, $case->run->id),
            title: self::metresToo($case, $controller) ??
                sprintf(
                    '%s carries %g A%s, not %.1f A',
                    strtoupper($load->id),
                    $channel ? $controller->channelAmps : $controller->totalAmps,
                    $channel ? ' a channel' : ' in all',
                    $channel ? $load->fullest() : $load->amps,
                ),
            detail: sprintf(
                '%.2f A of %g A on the highest channel, %.2f A of %g A in all, of all connected loads. ' .
                    'Use fewer metres, a second controller, or a larger one.',
                $load->fullest(),
                $controller->channelAmps,
                $load->amps,
                $controller->totalAmps,
            ),
            number: $channel ? $load->fullest() : $load->amps,
            limit: $channel ? $controller->channelAmps : $controller->totalAmps,
            fixes: $case->takeFittingController(),
        );
    }

    /** In metres, if all connected parts are of one strip and already too long by its label. */
    private static function metresToo(JudgedRun $case, Controller $controller): ?string
    {
        $metres = 0.0;
        foreach ($case->underController() as $run) {
            if ($run->strip !== $case->run->strip) {
                return null;
            }
            $metres += $case->plan->of($run)->litLength();
        }
        $carries = $case->strip !== null ? self::metres($case->strip, $controller) : INF;
        if ($metres <= $carries) {
            return null;
        }

        return sprintf(
            '%s carries %.1f m of this strip, not %.1f m',
            strtoupper((string) $case->run->controller),
            $carries,
            $metres,
        );
    }

    /** Metres of a strip that a controller carries at the strip's volts; of pixels the metres that the outputs of a board support. */
    public static function metres(Strip $strip, Controller $controller): float
    {
        if ($controller->pixels !== null && $strip->pixels !== null) {
            return intdiv($controller->pixels->count * $controller->pixels->each, $strip->pixels->pixels) *
                $strip->pitch;
        }

        return min(
            ($controller->channelAmps * $strip->volts) / self::fullest($strip),
            $controller->wattsAt($strip->volts) / $strip->wattsPerMetre(),
        );
    }

    private static function fullest(Strip $strip): float
    {
        return max(array_map(static fn($c): float => $c->wattsPerMetre, $strip->channels));
    }
}
