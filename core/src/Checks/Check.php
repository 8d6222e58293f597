<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Values\Finding;
use LogicException;

/** One rule of the trade, or several on one subject, applied to a job as far as it is planned and solved. */
abstract readonly class Check
{
    /** @return list<Rule> one for each code of its findings */
    abstract public function rules(): array;

    /** @return list<Finding> */
    abstract public function check(JudgedJob $job): array;

    /**
     * The rule of a code, which makes its findings.
     *
     * @throws LogicException for a code that the check does not list
     */
    protected function rule(string $code): Rule
    {
        foreach ($this->rules() as $rule) {
            if ($rule->code === $code) {
                return $rule;
            }
        }
        throw new LogicException(static::class . " has no rule “{$code}”.");
    }
}
