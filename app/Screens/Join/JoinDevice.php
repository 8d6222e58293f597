<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Joining\Observation;

/** A simulated device: power, lamp, keys and zones. */
final readonly class JoinDevice implements View
{
    use WrittenRecord;

    /**
     * @param  list<JoinHeld>  $held
     * @param  list<JoinKey>  $keys
     */
    public function __construct(
        public string $id,
        public string $label,
        public string $name,
        public bool $shines,
        #[Field(of: JoinHeld::class)] public array $held,
        public bool $powered,
        public bool $switched,
        public bool $lit,
        public float $level,
        public ?JoinSignal $signal,
        #[Field(of: JoinKey::class)] public array $keys,
        public int $zones,
        public Observation $looks,
    ) {}
}
