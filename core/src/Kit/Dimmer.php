<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Profiles\Behaviour;

/**
 * A module that dims fixtures: phase-cut by watts, 0-10 V by the current of its control line, DALI by addresses and bus current. One with a switch
 * does 0-10 V or DALI.
 */
final readonly class Dimmer implements Entry
{
    /** Label of each kind of module, and the dimming method of its fixtures. */
    public const DIMS = ['phasecut' => 'phase-cut', 'analog' => '0-10 V', 'dali' => 'dali'];

    /** Dimming methods with a control line of their own, beside mains. */
    public const BY_LINE = ['0-10 V', 'dali'];

    /**
     * @param  bool|null  $sinks whether its control line sinks the fixtures' current; null if unknown
     * @param  string  $setBy  switch or jumper that sets its dimming method; empty where it has one method
     * @param  string  $setting  position for each method
     * @param  string  $family  its way of control
     * @param  Behaviour|null  $profile how it resets and joins; null without instructions
     */
    private function __construct(
        private string $id,
        private string $name,
        public string $kind,
        public float $mostWatts,
        public float $leastWatts,
        public float $milliamps,
        public int $addresses,
        public ?float $relayAmps,
        public ?bool $sinks = null,
        public string $setBy = '',
        public string $setting = '',
        public string $family = 'zigbee',
        public ?Behaviour $profile = null,
    ) {}

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->string('id'),
            name: $f->string('name'),
            kind: $f->string('kind'),
            mostWatts: $f->numberOr('mostWatts', INF),
            leastWatts: $f->numberOr('leastWatts', 0),
            milliamps: $f->numberOr('milliamps', 0),
            addresses: (int) $f->numberOr('addresses', 0),
            relayAmps: $f->numberOrNull('relayAmps'),
            setBy: $f->stringOrNull('setBy') ?? '',
            setting: $f->stringOrNull('setting') ?? '',
            sinks: $f->has('sinks') ? $f->flag('sinks') : null,
            family: $f->stringOrNull('family') ?? 'zigbee',
            profile: $f->maybe('profile', Behaviour::read(...)),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }

    /** A dimming method as people write it. */
    public static function says(string $method): string
    {
        return $method === 'dali' ? 'DALI' : $method;
    }

    /** @return list<string> its dimming methods; more than one where a switch sets them */
    public function methods(): array
    {
        $own = self::DIMS[$this->kind] ?? '';

        return $this->kind === 'analog' && $this->addresses > 0 ? [$own, 'dali'] : [$own];
    }

    public function dims(?string $method): bool
    {
        return in_array($method, $this->methods(), true);
    }
}
