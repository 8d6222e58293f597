<?php

declare(strict_types=1);

namespace App\Screens;

use App\Screens\Bench\BenchStage;
use App\Screens\Build\BuildStage;
use App\Screens\Desk\StageLamp;
use App\Screens\Handover\HandoverStage;
use App\Screens\Join\JoinStage;
use App\Screens\Kit\KitStage;
use App\Screens\Parts\PartsStage;
use App\Screens\Scenes\ScenesStage;
use App\Screens\Survey\SurveyStage;
use App\Screens\Wire\WireStage;
use EmberDusk\Job\JobState;
use EmberDusk\Values\Finding;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Refusal;

/** The stages of a job in their order, and how far each is: unlit, glowing (open points), lit (done). */
final readonly class Stages
{
    /** Stages about kit and its costs. */
    public const PRICED = [JobStage::Kit, JobStage::Parts];

    /** @return list<Stage> the last is lit by those before it */
    public static function all(): array
    {
        return [
            new SurveyStage(),
            new KitStage(),
            new WireStage(),
            new PartsStage(),
            new BuildStage(),
            new BenchStage(),
            new JoinStage(),
            new ScenesStage(),
            new HandoverStage(),
        ];
    }

    /** @return list<string> */
    public static function keys(): array
    {
        return array_map(static fn(Stage $s): string => $s->key()->value, self::all());
    }

    /** @return list<string> keys of those with the standard page */
    public static function shown(): array
    {
        return array_map(
            static fn(Stage $s): string => $s->key()->value,
            array_values(array_filter(self::all(), static fn(Stage $s): bool => $s->page() !== null)),
        );
    }

    /** @throws Refusal when there is no such stage */
    public static function get(JobStage $key): Stage
    {
        foreach (self::all() as $stage) {
            if ($stage->key() === $key) {
                return $stage;
            }
        }
        throw new InvalidInput("No stage “{$key->value}”.");
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<StageLamp>
     */
    public static function lamps(JobState $state, array $findings): array
    {
        $lamps = [];
        $allLit = true;
        $stages = self::all();
        foreach ($stages as $n => $stage) {
            $key = $stage->key();
            $open =
                count(array_filter($findings, static fn(Finding $f): bool => $f->place->stage === $key)) +
                $stage->open($state);
            $lamp = match (true) {
                $n === count($stages) - 1 => $allLit ? 'lit' : 'unlit',
                !$stage->begun($state) => 'unlit',
                $open > 0 => 'glowing',
                default => 'lit',
            };
            $allLit = $allLit && ($lamp === 'lit' || ($lamp === 'unlit' && $stage->optional()));
            $lamps[] = new StageLamp(
                id: $key->value,
                number: $stage->digit(),
                name: $stage->name(),
                state: $lamp,
                open: $open,
                priced: in_array($key, self::PRICED, true),
            );
        }

        return $lamps;
    }
}
