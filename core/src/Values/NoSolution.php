<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** Everything is there, and no answer holds: a circuit that cannot be solved, a shelf that has nothing that fits. */
final class NoSolution extends Refusal {}
