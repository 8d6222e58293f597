<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A step of the guide: what to do, what to expect, and the possible answers. */
final readonly class JoinStepView implements View
{
    use WrittenRecord;

    /**
     * @param  list<JoinTry>  $tries
     * @param  list<JoinPick>  $picks
     */
    public function __construct(
        public string $key,
        public string $kind,
        #[Field(oneOf: ['hand', 'lamp', 'says', 'list', 'lights', 'name', 'try', 'mend', 'end'])] public string $look,
        public string $device,
        public string $where,
        public string $title,
        public string $why,
        public bool $does,
        #[Field(of: JoinTry::class)] public array $tries,
        public ?SignalView $expect,
        public string $expects,
        #[Field(of: JoinPick::class)] public array $picks,
        public string $name,
        public string $room,
        public int $letters,
        public ?float $from,
        public ?float $to,
        public string $alert,
        public string $ifNot,
        public string $caution,
        public string $left,
        public string $yes,
    ) {}
}
