<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Joining\Families\Assistant\AssistantFamily;
use EmberDusk\Joining\Families\Bluetooth\BluetoothFamily;
use EmberDusk\Joining\Families\Board\BoardFamily;
use EmberDusk\Joining\Families\Bridge\BridgeFamily;
use EmberDusk\Joining\Families\Cloud\CloudFamily;
use EmberDusk\Joining\Families\Hub\HubFamily;
use EmberDusk\Joining\Families\Mesh\MeshFamily;
use EmberDusk\Joining\Families\MeshRemote\MeshRemoteFamily;
use EmberDusk\Joining\Families\Receiver\ReceiverFamily;
use EmberDusk\Joining\Families\Remote\RemoteFamily;
use EmberDusk\Joining\Families\TouchLink\TouchLinkFamily;
use EmberDusk\Joining\Families\Zigbee\ZigbeeFamily;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedPhone;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\Simulation\Trap;
use EmberDusk\Values\InvalidInput;

/** The families that can be joined here: one line each. */
final readonly class Families
{
    /** @return list<Family> */
    public static function all(): array
    {
        return [
            new ZigbeeFamily(),
            new RemoteFamily(),
            new TouchLinkFamily(),
            new HubFamily(),
            new AssistantFamily(),
            new ReceiverFamily(),
            new BridgeFamily(),
            new BluetoothFamily(),
            new MeshFamily(),
            new MeshRemoteFamily(),
            new BoardFamily(),
            new CloudFamily(),
        ];
    }

    /** @throws InvalidInput */
    public static function get(string $key): Family
    {
        foreach (self::all() as $family) {
            if ($family->key() === $key) {
                return $family;
            }
        }

        throw new InvalidInput("“{$key}” is no family of devices that can be joined here.");
    }

    /** Whether that is so of a unit, as its family says. */
    public static function say(Unit $unit, FamilyFact $fact): bool
    {
        return $unit->family !== '' && in_array($fact, self::get($unit->family)->facts($unit), true);
    }

    /** The family whose own a unit of that role and way of control is; null when there is none. */
    public static function for(string $role, string $way): ?Family
    {
        foreach (self::all() as $family) {
            if ($family->takes($role, $way)) {
                return $family;
            }
        }

        return null;
    }

    /**
     * A site of simulated devices for all devices.
     *
     * @param  list<Flaw>  $flaws
     * @param  list<Trap>  $without
     */
    public static function site(Roster $roster, int $seed, array $flaws = [], array $without = []): SimulatedSite
    {
        return new SimulatedSite(
            roster: $roster,
            seed: $seed,
            flaws: $flaws,
            without: $without,
            make: static fn(Unit $unit, SimulatedSite $site): SimulatedDevice => $unit->role === Unit::PHONE
                ? new SimulatedPhone($unit, $site)
                : self::get($unit->family)->simulated($unit, $site),
        );
    }
}
