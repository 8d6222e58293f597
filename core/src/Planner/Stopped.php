<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use RuntimeException;

/** The search was asked to end with what it has. */
final class Stopped extends RuntimeException {}
