<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** The stages of a job, where its findings are shown. */
enum JobStage: string
{
    case Survey = 'survey';
    case Kit = 'kit';
    case Wire = 'wire';
    case Parts = 'parts';
    case Build = 'build';
    case Bench = 'bench';
    case Join = 'join';
    case Scenes = 'scenes';
    case HandOver = 'handover';
}
