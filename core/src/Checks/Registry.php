<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Checks\Bench\MatrixOrder;
use EmberDusk\Checks\Bench\ReadingFindings;
use EmberDusk\Checks\Bench\SeenFindings;
use EmberDusk\Checks\Cable\CalculatedLengths;
use EmberDusk\Checks\Cable\Drop;
use EmberDusk\Checks\Cable\Surroundings;
use EmberDusk\Checks\Control\LimitFindings;
use EmberDusk\Checks\Control\NameFindings;
use EmberDusk\Checks\Control\PlayFindings;
use EmberDusk\Checks\Control\PowerOn;
use EmberDusk\Checks\Control\TriggerFindings;
use EmberDusk\Checks\Controller\ControllerAmps;
use EmberDusk\Checks\Controller\InputRange;
use EmberDusk\Checks\Controller\PixelBoards;
use EmberDusk\Checks\Controller\Repeats;
use EmberDusk\Checks\Controller\Switching;
use EmberDusk\Checks\Controller\SwitchSetting;
use EmberDusk\Checks\Fixture\ControlLines;
use EmberDusk\Checks\Fixture\Lamps;
use EmberDusk\Checks\Fixture\Modules;
use EmberDusk\Checks\Join\NotJoined;
use EmberDusk\Checks\Join\Unjoinable;
use EmberDusk\Checks\Kit\Complete;
use EmberDusk\Checks\Kit\Cooling;
use EmberDusk\Checks\Kit\HubAsked;
use EmberDusk\Checks\Kit\Items;
use EmberDusk\Checks\Kit\NoControl;
use EmberDusk\Checks\Kit\OpenInDamp;
use EmberDusk\Checks\Kit\Sealing;
use EmberDusk\Checks\Kit\TrialBoards;
use EmberDusk\Checks\Light\AdjacentEnds;
use EmberDusk\Checks\Light\ColourShift;
use EmberDusk\Checks\Light\Evenness;
use EmberDusk\Checks\Light\Seam;
use EmberDusk\Checks\Parts\AssemblyFindings;
use EmberDusk\Checks\Parts\PartFindings;
use EmberDusk\Checks\Parts\PriceFindings;
use EmberDusk\Checks\Protection\CableCapacity;
use EmberDusk\Checks\Protection\Fusing;
use EmberDusk\Checks\Protection\JointCapacity;
use EmberDusk\Checks\Protection\LegMains;
use EmberDusk\Checks\Protection\RailCapacity;
use EmberDusk\Checks\Protection\SwitchRating;
use EmberDusk\Checks\Protection\TouchVoltage;
use EmberDusk\Checks\Ratings\Ratings;
use EmberDusk\Checks\Scene\SceneFindings;
use EmberDusk\Checks\Schedule\ScheduleFindings;
use EmberDusk\Checks\Site\BankFindings;
use EmberDusk\Checks\Site\PowerFindings;
use EmberDusk\Checks\Site\PresentFindings;
use EmberDusk\Checks\Site\SiteFindings;
use EmberDusk\Checks\Site\StandingFindings;
use EmberDusk\Checks\Site\SurveyFindings;
use EmberDusk\Checks\Site\UnitPositions;
use EmberDusk\Checks\Solver\SolutionExists;
use EmberDusk\Checks\Supply\BankLoads;
use EmberDusk\Checks\Supply\Banks;
use EmberDusk\Checks\Supply\Cap;
use EmberDusk\Checks\Supply\Headroom;
use EmberDusk\Checks\Supply\Inrush;
use EmberDusk\Checks\Supply\NoMains;
use EmberDusk\Checks\Supply\Peak;
use EmberDusk\Checks\Supply\SupplyVolts;
use EmberDusk\Checks\Supply\Swing;
use EmberDusk\Checks\Supply\TwoPositives;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;

/** All checks, and what they are made of; adding one is a class and a line here. */
final readonly class Registry
{
    /** @return list<Check> of kit and circuit: also used by planner and options */
    public static function circuit(): array
    {
        return [
            new Complete(),
            new SupplyVolts(),
            new Switching(),
            new InputRange(),
            new ControllerAmps(),
            new Headroom(),
            new Cap(),
            new Peak(),
            new SolutionExists(),
            new Evenness(),
            new Seam(),
            new ColourShift(),
            new TwoPositives(),
            new Drop(),
            new CableCapacity(),
            new Fusing(),
            new JointCapacity(),
            new RailCapacity(),
            new SwitchSetting(),
            new Repeats(),
            new Swing(),
            new NoMains(),
            new Banks(),
            new SwitchRating(),
            new Items(),
            new TouchVoltage(),
            new Sealing(),
            new Cooling(),
            new CalculatedLengths(),
            new Lamps(),
            new Modules(),
            new ControlLines(),
            new AdjacentEnds(),
            new Ratings(),
            new PixelBoards(),
            new BankLoads(),
            new Inrush(),
            new LegMains(),
            new OpenInDamp(),
            new Surroundings(),
        ];
    }

    /** @return list<Check> */
    public static function all(): array
    {
        return [
            new SurveyFindings(),
            new SiteFindings(),
            new UnitPositions(),
            new PowerFindings(),
            new BankFindings(),
            new PresentFindings(),
            new HubAsked(),
            new NoControl(),
            ...self::circuit(),
            new SceneFindings(),
            new TrialBoards(),
            new ReadingFindings(),
            new MatrixOrder(),
            new SeenFindings(),
            new NotJoined(),
            new Unjoinable(),
            new NameFindings(),
            new LimitFindings(),
            new PlayFindings(),
            new PowerOn(),
            new TriggerFindings(),
            new AssemblyFindings(),
            new PartFindings(),
            new PriceFindings(),
            new StandingFindings(),
            new ScheduleFindings(),
        ];
    }

    /**
     * @param  list<Check>  $checks
     * @return list<Finding> worst first
     */
    public static function check(JudgedJob $job, array $checks): array
    {
        $findings = [];
        foreach ($checks as $check) {
            array_push($findings, ...$check->check($job));
        }

        return Finding::worstFirst($findings);
    }

    /**
     * A finding with the fixes that have to be solved, calculated.
     *
     * @return list<Fix>
     */
    public static function mend(JudgedJob $job, Finding $finding): array
    {
        foreach (self::circuit() as $check) {
            if (
                $check instanceof SolvesFixes &&
                in_array($finding->code, array_column($check->rules(), 'code'), true)
            ) {
                return $check->mend($job, $finding);
            }
        }

        return [];
    }

    /** @return array<string, Rule> by code */
    public static function rules(): array
    {
        $rules = [];
        foreach (self::all() as $check) {
            foreach ($check->rules() as $rule) {
                $rules[$rule->code] = $rule;
            }
        }

        return $rules;
    }
}
