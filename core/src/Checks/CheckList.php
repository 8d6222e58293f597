<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Plan\Plan;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Severity;

/** List of checks for the hand-over sheet and the table of sources: the rules of the registry, by subject. */
final readonly class CheckList
{
    private const SUBJECTS = [
        'run' => 'Runs',
        'supply' => 'Supplies',
        'controller' => 'Controllers',
        'unit' => 'Controllers and modules',
        'cable' => 'Cables',
        'joint' => 'Joints',
        'fixture' => 'Fixtures',
        'module' => 'Dimming modules',
        'item' => 'Other items',
        'scene' => 'Scenes',
        'show' => 'Shows',
        'trigger' => 'Automation',
        'place' => 'Places',
        'part' => 'Parts',
        'step' => 'Plan of work',
        'test' => 'Tests and readings',
        'job' => 'The job',
    ];

    /**
     * Rules with their counts of stops, warnings and open points in the job.
     *
     * @param  list<Finding>  $findings
     * @return list<CheckedSubject>
     */
    public static function from(Plan $plan, array $findings): array
    {
        $checked = [];
        foreach (self::SUBJECTS as $subject => $name) {
            $rules = [];
            if (self::has($plan, $subject)) {
                foreach (Registry::rules() as $rule) {
                    if ($rule->subject === $subject) {
                        $mine = array_filter($findings, static fn(Finding $f): bool => $f->code === $rule->code);
                        $open = array_filter($mine, static fn(Finding $f): bool => $f->severity === Severity::Open);
                        $rules[] = new CheckedRule(
                            says: $rule->says,
                            source: $rule->source,
                            found: count($mine) - count($open),
                            open: count($open),
                        );
                    }
                }
            }
            if ($rules !== []) {
                $checked[] = new CheckedSubject($name, $rules);
            }
        }

        return $checked;
    }

    /** The rules as rows of a table in Markdown: docs/sources.md holds it. */
    public static function table(): string
    {
        $rows = ["| code | judges | rule | source |\n| --- | --- | --- | --- |\n"];
        foreach (Registry::rules() as $rule) {
            $rows[] = "| {$rule->code} | {$rule->subject} | {$rule->says} | {$rule->source} |\n";
        }

        return implode('', $rows);
    }

    private static function has(Plan $plan, string $subject): bool
    {
        return match ($subject) {
            'run' => $plan->runs !== [],
            'supply' => $plan->supplies !== [],
            'controller' => $plan->controllers !== [],
            'unit' => $plan->lightUnits() !== [],
            'cable' => $plan->cables !== [],
            'joint' => array_filter($plan->cables, static fn($c): bool => $c->joint !== null) !== [],
            'fixture' => $plan->fixtures !== [],
            'module' => $plan->modules !== [],
            'item' => $plan->items !== [],
            'scene' => $plan->scenes !== [],
            // Readings and observations have their own section on the sheet, with the missing tests.
            'test' => false,
            default => true,
        };
    }
}
