<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A run of the guide, on site or as rehearsal. */
final readonly class JoinAnswer implements View
{
    use WrittenRecord;

    /**
     * @param  string  $event  loss or replacement after which devices join again; empty for the first join
     * @param  list<JoinRefused>  $refused
     */
    public function __construct(
        public int $run,
        public int $speed,
        public bool $site,
        public string $hand,
        public int $hidden,
        public string $event,
        public int $events,
        public ?JoinPicture $picture,
        public int $wall,
        #[Field(of: JoinRefused::class)] public array $refused,
    ) {}
}
