<?php

declare(strict_types=1);

namespace EmberDusk\Advice\Planner;

use RuntimeException;

/** The search was asked to end with what it has. */
final class Stopped extends RuntimeException {}
