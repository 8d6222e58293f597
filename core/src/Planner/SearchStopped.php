<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use RuntimeException;

/** The search was stopped with a partial result. */
final class SearchStopped extends RuntimeException {}
