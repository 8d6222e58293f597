<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** What is known of ways of feeding, by kind of run and way: shared by all places of a job. Metres of strip. */
final class FeedKinds
{
    /** @var array<string, float> metres from which a way fails */
    public array $fails = [];

    /** @var array<string, float> metres up to which it does not */
    public array $passes = [];

    /** @var array<string, array{float, float}> amps a metre at least, and the metres of which they are */
    public array $draws = [];
}
