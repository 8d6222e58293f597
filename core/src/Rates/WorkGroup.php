<?php

declare(strict_types=1);

namespace EmberDusk\Rates;

/** Works as a client reads them in a quote, in its order. */
enum WorkGroup: string
{
    case Preparation = 'Preparation, tracing and settings';
    case Removing = 'Removing and refitting';
    case Supplies = 'Supplies, controllers and cables';
    case Strips = 'Strips, profiles and fixtures';
    case Tests = 'Tests';
    case Joining = 'Joining and setting up';
    case Tidying = 'Tidying and the follow-up visit';
    case Travel = 'Travel time';
}
