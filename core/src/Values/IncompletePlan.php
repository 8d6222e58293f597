<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** The plan lacks what this needs: it has to be chosen first. */
final class IncompletePlan extends Refusal {}
