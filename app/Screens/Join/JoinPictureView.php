<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Joining\JoinLine;

/** Join screen: the step, the timeline, the devices and the log. */
final readonly class JoinPictureView implements View
{
    use WrittenRecord;

    /**
     * @param  list<JoinLane>  $lanes
     * @param  list<JoinDevice>  $devices
     * @param  list<JoinApp>  $apps
     * @param  list<JoinLine>  $log
     * @param  list<string>  $found
     * @param  list<string>  $aside
     * @param  list<JoinCause>  $causes
     * @param  list<string>  $measured
     */
    public function __construct(
        public float $now,
        public JoinStepView $step,
        #[Field(of: JoinLane::class)] public array $lanes,
        #[Field(of: JoinDevice::class)] public array $devices,
        #[Field(of: JoinApp::class)] public array $apps,
        #[Field(of: JoinLine::class)] public array $log,
        public int $missed,
        public int $joined,
        public int $lights,
        public int $through,
        public int $tasks,
        #[Field(of: Field::TEXTS)] public array $found,
        #[Field(of: Field::TEXTS)] public array $aside,
        #[Field(of: JoinCause::class)] public array $causes,
        public ?float $nextAt,
        public bool $done,
        public string $says,
        #[Field(of: Field::TEXTS)] public array $measured,
    ) {}
}
