<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** It could be done at another time, but not as things stand: something else has to happen first, or has happened already. */
final class OutOfTurn extends Refusal {}
