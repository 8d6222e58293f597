<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** A check of the tests' own: these supplies stop the job. */
final readonly class ForbiddenSupply extends Check
{
    /** @var list<string> */
    private array $kit;

    public function __construct(string ...$kit)
    {
        $this->kit = array_values($kit);
    }

    public function rules(): array
    {
        return [new Rule('forbidden', 'supply', 'no supply of these', 'this test')];
    }

    public function check(JudgedJob $job): array
    {
        $found = [];
        foreach ($job->plan->supplies as $id => $supply) {
            if (in_array($supply->kit, $this->kit, true)) {
                $found[] = $this->rule('forbidden')->stop(
                    new FindingPlace(JobStage::Wire, (string) $id),
                    title: 'Forbidden',
                    detail: 'By this test.',
                );
            }
        }

        return $found;
    }
}
