<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Supply;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Checks\Rule;
use EmberDusk\Circuit\SupplyLoad;
use EmberDusk\Kit\Strip;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Plan\Changes\Runs\SetCap;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Severity;

/** Part of a supply's rating stays unused: rating x (1 - headroom) >= nominal load (common practice: 100 W needs 125 W; 144 W asks for 180 W). */
final readonly class Headroom extends Check
{
    /** Below this a limit leaves too little light to be worth a strip. */
    private const LEAST_CAP = 0.3;

    public function rules(): array
    {
        return [
            new Rule(
                'headroom',
                'supply',
                'a supply keeps the job’s headroom: 100 W needs 125 W',
                Rule::PRACTICE,
                binds: PlannerLimit::Headroom,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach (array_keys($job->plan->supplies) as $id) {
            $load = $job->supply($id);
            $supply = $load->supply;
            if (
                $supply !== null &&
                !$supply->battery() &&
                round($load->share(), 4) > round($job->plan->limits->usable(), 4)
            ) {
                $findings[] = $this->finding($job, $load, $supply);
            }
        }

        return $findings;
    }

    /** The rating that leaves the job's headroom above so many watts. */
    public static function enough(Plan $plan, Supply $supply, float $watts): bool
    {
        return round($watts / $supply->ratedWatts(), 4) <= round($plan->limits->usable(), 4);
    }

    private function finding(JudgedJob $job, SupplyLoad $load, Supply $supply): Finding
    {
        $plan = $job->plan;
        $asks = $plan->limits->rating($load->watts());
        $larger = $job->smallest(
            Supply::class,
            static fn(Supply $s): bool => abs($s->volts - $supply->volts) < 0.5 &&
                self::enough($plan, $s, $load->watts()),
            static fn(Supply $s): float => $s->ratedAmps,
        );
        $runs = array_values(
            array_filter(
                $job->runs(),
                static fn(JudgedRun $r): bool => in_array($load->id, $plan->ways()->suppliesOf($r->run), true),
            ),
        );
        $only = count($runs) === 1 && $plan->ways()->suppliesOf($runs[0]->run) === [$load->id] ? $runs[0] : null;

        return $this->rule('headroom')->finding(
            severity: $load->share() > 1 + 1e-9 ? Severity::Stop : Severity::Watch,
            place: self::place($job, $load->id, $runs),
            title: sprintf('%s load %.0f %%', strtoupper($load->id), 100 * $load->share()),
            detail: sprintf(
                '%.1f W of %.1f W with %s. %.0f %% headroom needs %.0f W.%s',
                $load->watts(),
                $supply->ratedWatts(),
                self::under($runs, $only),
                100 * $plan->limits->headroom,
                $asks,
                $larger === null
                    ? ' No supply on the shelf is large enough: shorten the run or choose a strip with less W/m.'
                    : '',
            ),
            number: $load->watts(),
            limit: $supply->ratedWatts() * $plan->limits->usable(),
            fixes: [
                ...$larger === null || $runs === [] || $runs[0]->run->supply !== $load->id
                    ? []
                    : [
                        new Fix(
                            'Use ' . $larger->name(),
                            ChooseKit::payload(run: $runs[0]->run->id, kit: $larger->id()),
                        ),
                    ],
                ...$only === null || $only->strip === null
                    ? []
                    : [...self::limit($only, $supply), ...self::less($only, $only->strip, $supply)],
            ],
        );
    }

    /**
     * With which limits it gives that.
     *
     * @param  list<JudgedRun>  $runs  that it feeds
     */
    private static function under(array $runs, ?JudgedRun $only): string
    {
        $capped = array_filter($runs, static fn(JudgedRun $r): bool => $r->run->cap < 1);

        return match (true) {
            $capped === [] => 'all at full',
            $only !== null => sprintf('the limit of %.0f %% set', 100 * $only->run->cap),
            default => 'the limits set',
        };
    }

    /** @param  list<JudgedRun>  $runs  that it feeds */
    private static function place(JudgedJob $job, string $supply, array $runs): FindingPlace
    {
        if ($runs !== []) {
            return new FindingPlace(JobStage::Kit, $runs[0]->run->id);
        }
        foreach (array_keys($job->plan->fixtures) as $id) {
            if ($job->plan->ways()->root($job->plan->ways()->cableTo($id)->from ?? '') === $supply) {
                return new FindingPlace(JobStage::Wire, $id);
            }
        }

        return new FindingPlace(JobStage::Kit);
    }

    /** @return list<Fix> second method: a limit in the controller, in steps of 5 %, that keeps the supply's headroom */
    private static function limit(JudgedRun $case, Supply $supply): array
    {
        $cap = floor((20 * $supply->ratedWatts() * $case->plan->limits->usable()) / $case->watts() + 1e-9) / 20;
        if ($cap < self::LEAST_CAP || $cap >= 1) {
            return [];
        }

        return [
            new Fix(sprintf('Set a limit of %.0f %%', 100 * $cap), SetCap::payload(run: $case->run->id, cap: $cap)),
        ];
    }

    /** @return list<Fix> less light: the brightest strip of the same kind that the supply carries */
    private static function less(JudgedRun $case, Strip $strip, Supply $supply): array
    {
        $metres = $case->plan->of($case->run)->litLength();
        $dimmer = $case->smallest(
            Strip::class,
            static fn(Strip $s): bool => abs($s->volts - $strip->volts) < 0.5 &&
                count($s->channels) === count($strip->channels) &&
                self::enough($case->plan, $supply, $s->wattsPerMetre() * $metres * $case->run->cap),
            static fn(Strip $s): float => -$s->wattsPerMetre(),
        );
        if ($dimmer === null) {
            return [];
        }

        return [new Fix('Less light: ' . $dimmer->name(), ChooseKit::payload(run: $case->run->id, kit: $dimmer->id()))];
    }
}
