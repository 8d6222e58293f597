<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;

/** A check whose fixes have to be solved before they are proposed: they are asked for apart, after the picture is there. */
interface SolvesFixes
{
    /** @return list<Fix> that were solved and fix it */
    public function mend(JudgedJob $job, Finding $finding): array;
}
