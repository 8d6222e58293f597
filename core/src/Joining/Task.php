<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Formats\Fields;

/** One thing that has to be brought about between two devices: a join, a link, a set-up, names that are read. */
final readonly class Task
{
    /** Kinds of tasks in the order in which they can be at all. */
    public const SETUP = 'setup';

    public const JOIN = 'join';

    public const LINK = 'link';

    public const READ = 'read';

    public const ACCEPT = 'accept';

    /** A scene stored as a preset, and recalled once. */
    public const STORE = 'store';

    /** Tried from each further phone of the client. */
    public const PHONES = 'phones';

    /** Tried once more: with covers closed, after mains off and on, without the internet, without the hub. */
    public const CLOSED = 'closed';

    public const MAINS = 'mains';

    public const OFFLINE = 'offline';

    public const HUBLESS = 'hubless';

    private const PROOFS = [self::STORE, self::PHONES, self::CLOSED, self::MAINS, self::OFFLINE, self::HUBLESS];

    /**
     * @param  string  $family  key of the family that knows its steps
     * @param  string  $what  which of the kinds above
     * @param  string  $device  the one that is joined or linked
     * @param  string  $other its network or partner; empty for none
     * @param  string  $batch  tasks of one batch share a search; empty: alone
     * @param  string|null  $search  the device whose search it needs
     */
    public function __construct(
        public string $family,
        public string $what,
        public string $device,
        public string $other = '',
        public int $zone = 0,
        public string $batch = '',
        public ?string $search = null,
    ) {}

    public static function read(Fields $f): self
    {
        return new self(
            family: $f->string('family', 40),
            what: $f->string('what', 40),
            device: $f->string('device', 40),
            other: $f->string('other', 40),
            zone: $f->whole('zone', 0, 99),
            batch: $f->string('batch', 40),
            search: $f->stringOrNull('search'),
        );
    }

    /** @return array<string, int|string|null> */
    public function write(): array
    {
        return [
            'family' => $this->family,
            'what' => $this->what,
            'device' => $this->device,
            'other' => $this->other,
            'zone' => $this->zone,
            'batch' => $this->batch,
            'search' => $this->search,
        ];
    }

    public function id(): string
    {
        return trim("{$this->what} {$this->device} {$this->other}");
    }

    /** @return list<string> lights that answer to something once it is through */
    public function brings(Roster $roster): array
    {
        if (!in_array($this->what, [self::JOIN, self::LINK], true)) {
            return [];
        }

        return array_values(
            array_filter(
                [$this->device, $this->other],
                static fn(string $u): bool => $roster->has($u) && $roster->unit($u)->lights(),
            ),
        );
    }

    /** Whether it is one of the final proofs. */
    public function proves(): bool
    {
        return in_array($this->what, self::PROOFS, true);
    }

    /** Whether its hands are those of all trials of its kind, such as closing every cover. */
    public function sharesHands(): bool
    {
        return $this->proves() && $this->what !== self::STORE;
    }

    /** Whether it only tests earlier tasks. */
    public function tries(): bool
    {
        return $this->what === self::ACCEPT || $this->proves();
    }

    public function in(string $batch): self
    {
        return new self(
            family: $this->family,
            what: $this->what,
            device: $this->device,
            other: $this->other,
            zone: $this->zone,
            batch: $batch,
            search: $this->search,
        );
    }

    /** Whether a device takes part in it. */
    public function concerns(string $unit): bool
    {
        return $this->device === $unit || $this->other === $unit;
    }
}
