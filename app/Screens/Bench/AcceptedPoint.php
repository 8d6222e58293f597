<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use DateTimeImmutable;
use DateTimeZone;
use EmberDusk\Bench\Log\LogEntry;
use EmberDusk\Formats\Record\WrittenRecord;

/** An open point that a person has accepted: the point and the reason, who, and when. */
final readonly class AcceptedPoint implements View
{
    use WrittenRecord;

    private function __construct(
        public string $uuid,
        public string $key,
        public string $text,
        public string $who,
        public string $at,
    ) {}

    /** @param  string  $zone  of the crew's clock */
    public static function from(LogEntry $entry, string $zone): self
    {
        return new self(
            uuid: $entry->uuid,
            key: $entry->command,
            text: $entry->text,
            who: $entry->who,
            at: (new DateTimeImmutable($entry->at))->setTimezone(new DateTimeZone($zone))->format('Y-m-d H:i'),
        );
    }

    /** As one line of the sheet. */
    public function words(): string
    {
        return "{$this->text} ({$this->who}, {$this->at})";
    }
}
