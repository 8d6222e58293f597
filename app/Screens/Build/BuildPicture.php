<?php

declare(strict_types=1);

namespace App\Screens\Build;

use App\Screens\Desk\HashedRows;
use App\Screens\KnownRows;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Schedule\Pin;
use EmberDusk\Schedule\Visit;
use EmberDusk\Values\Copies;

/** Build screen: the days, the visits and the steps. */
final readonly class BuildPicture implements HashedRows
{
    use Copies;
    use WrittenRecord;

    /**
     * @param  list<BuildDay>  $days
     * @param  list<BuildSlot>  $slots
     * @param  list<BuildStep>  $steps
     * @param  list<BuildWait>  $waits
     * @param  list<Visit>  $visits
     * @param  list<Pin>  $pins
     * @param  list<AddedWait>  $added
     * @param  list<string>  $order
     * @param  list<string>  $ahead  ids of steps before the first day
     * @param  string  $message  to send to the client before it; empty where nothing is asked
     */
    public function __construct(
        public int $begins,
        public int $dayMinutes,
        #[Field(of: BuildDay::class)] public array $days,
        #[Field(of: BuildSlot::class)] public array $slots,
        #[Field(of: BuildStep::class)] public array $steps,
        #[Field(of: BuildWait::class)] public array $waits,
        #[Field(of: Visit::class)] public array $visits,
        public bool $weekends,
        #[Field(of: Pin::class)] public array $pins,
        #[Field(of: AddedWait::class)] public array $added,
        public string $end,
        public string $next,
        #[Field(of: Field::TEXTS)] public array $order,
        #[Field(of: Field::TEXTS)] public array $ahead,
        public string $message,
    ) {}

    public function without(array $known): self
    {
        return $this->withChanged(steps: KnownRows::lacking($this->steps, $known));
    }
}
