<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks;

use EmberDusk\Checks\CheckList;
use EmberDusk\Checks\Findings;
use EmberDusk\Checks\Registry;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\States;
use EmberDusk\Job\JobState;
use EmberDusk\Planner\BrokenLimit;
use EmberDusk\Planner\PlanJudge;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\SeededJobs;
use EmberDusk\Values\Finding;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Refusal;
use EmberDusk\Values\Severity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Open points, the planner's judgement and the sheet agree on the same plan. */
final class AgreementTest extends TestCase
{
    /** Seeds of one data set; EMBER_SEEDS asks for more of them. */
    private const EACH = 50;

    /** @return iterable<string, array{int, int}> */
    public static function seeds(): iterable
    {
        $all = (int) (getenv('EMBER_SEEDS') ?: 50);
        for ($from = 1; $from <= $all; $from += self::EACH) {
            yield "from {$from}" => [$from, min($all, $from + self::EACH - 1)];
        }
    }

    #[DataProvider('seeds')]
    public function test_one_plan_has_one_judgement(int $from, int $to): void
    {
        $rules = Registry::rules();
        for ($seed = $from; $seed <= $to; $seed++) {
            $plan = SeededJobs::of($seed);
            $results = [];
            foreach (Island::all($plan) as $island) {
                try {
                    $solved = (new Engine($plan))->planned($island);
                    $states = States::all($plan, $island);
                    foreach ($solved as $id => $result) {
                        $results[$id] = $result->opened($states);
                    }
                } catch (Refusal $refusal) {
                    $results += array_map(static fn(): Refusal => $refusal, $island->parts + $island->fixtures);
                }
            }
            $state = new JobState($plan, $results, Demo::shelf());
            $slate = (new Findings($state))->for();
            $binding = array_filter(
                $slate,
                static fn(Finding $f): bool => in_array($f->place->stage, [JobStage::Kit, JobStage::Wire], true) &&
                    ($f->severity === Severity::Stop ||
                        ($f->severity === Severity::Watch && $rules[$f->code]->binds !== null)),
            );
            $judge = (new PlanJudge())->judge($plan, array_values($plan->runs), true);
            $slated = array_values(array_unique(array_map(static fn(Finding $f): string => $f->code, $binding)));
            $judged = array_values(
                array_unique(array_map(static fn(BrokenLimit $b): string => $b->code, $judge->broken)),
            );
            if (!in_array('', $judged, true)) {
                self::assertSame(
                    [],
                    array_diff($judged, $slated),
                    "seed {$seed}: the planner names a point that is not among the open points",
                );
                self::assertSame($slated === [], $judge->holds(), "seed {$seed}: " . implode(' ', $slated));
            }
            $found = [];
            foreach (CheckList::from($plan, $slate) as $group) {
                foreach ($group->rules as $rule) {
                    $found[$rule->says] = $rule->found + $rule->open;
                }
            }
            foreach (
                array_count_values(array_map(static fn(Finding $f): string => $f->code, $slate))
                as $code => $times
            ) {
                self::assertSame($times, $found[$rules[$code]->says] ?? null, "seed {$seed}: the sheet on {$code}");
            }
        }
    }
}
