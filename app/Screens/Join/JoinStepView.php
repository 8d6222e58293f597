<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\StepAnswer;

/** A step of the guide: what to do, what to expect, and the possible answers. */
final readonly class JoinStepView implements View
{
    use WrittenRecord;

    /**
     * @param  list<JoinTry>  $tries
     * @param  list<StepAnswer>  $answers
     */
    public function __construct(
        public string $key,
        public string $kind,
        public Look $look,
        public string $device,
        public string $where,
        public string $title,
        public string $why,
        #[Field(of: JoinTry::class)] public array $tries,
        public ?SignalView $expect,
        public ?SignalView $then,
        public string $expects,
        #[Field(of: StepAnswer::class)] public array $answers,
        public string $name,
        public string $room,
        public int $letters,
        public ?float $from,
        public ?float $to,
        public ?float $lookUntil,
        public string $alert,
        public string $ifNot,
        public string $caution,
        public string $left,
        public ?JoinTry $stops,
    ) {}
}
