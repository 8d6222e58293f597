<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Control;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Control\ControlLimits;
use EmberDusk\Control\LimitClash;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** Apps and remotes have room for the rooms and presets that are wanted of them. */
final readonly class LimitFindings extends Check
{
    public function rules(): array
    {
        return [
            new Rule('app-room', 'item', 'an app or a remote has enough rooms and presets', Rule::LEAFLET),
            new Rule('app-lacks', 'item', 'an app supports the planned scenes, shows and phones', Rule::LEAFLET),
        ];
    }

    public function check(JudgedJob $job): array
    {
        return array_map(
            fn(LimitClash $c): Finding => $this->rule(
                in_array($c->code, [LimitClash::ROOMS, LimitClash::PRESETS], true) ? 'app-room' : 'app-lacks',
            )->watch(
                place: new FindingPlace(JobStage::Scenes, $c->item),
                title: $c->title,
                detail: $c->detail,
                source: Rule::LEAFLET,
            ),
            ControlLimits::for($job->plan),
        );
    }
}
