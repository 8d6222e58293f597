<?php

declare(strict_types=1);

namespace Tests\Screens;

use App\Screens\Wire\WireScreen;
use EmberDusk\Circuit\Engine;
use EmberDusk\Job\JobState;
use EmberDusk\Planner\Planner;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\FigureAssertions;
use EmberDusk\Values\Figure;
use PHPUnit\Framework\TestCase;

/** Every shown number against an independent evaluator. */
final class WorkingsTest extends TestCase
{
    use FigureAssertions;

    /** Every figure of the demo job: an independent evaluator gives the shown formula with the shown inputs the shown value. */
    public function test_every_working_gives_its_value(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'middle']);
        $state = new JobState($plan, ['cove' => (new Engine($plan))->solve($plan->run('cove'))], Demo::shelf(), []);
        $figures = array_map(static fn(Figure $f): array => $f->write(), [
            ...WireScreen::ledger($state),
            ...\App\Screens\Kit\KitScreen::ledger($state),
            ...\App\Screens\Survey\SurveyScreen::ledger($state),
        ]);
        $picture = json_decode(json_encode(WireScreen::picture($state), JSON_THROW_ON_ERROR), true);
        self::assertIsArray($picture);
        $proposal = json_decode(
            json_encode(Planner::propose($plan, ['cove'], Demo::basis(), ['kit'])->write(), JSON_THROW_ON_ERROR),
            true,
        );
        self::assertIsArray($proposal);
        $figures = [...$figures, ...self::figuresIn($picture), ...self::figuresIn($proposal)];
        self::assertGreaterThan(20, count($figures));
        self::assertWorkings($figures);
    }
}
