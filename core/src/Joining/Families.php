<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Joining\Families\Assistant\Assistant;
use EmberDusk\Joining\Families\Bluetooth\Bluetooth;
use EmberDusk\Joining\Families\Board\Board;
use EmberDusk\Joining\Families\Bridge\Bridge;
use EmberDusk\Joining\Families\Cloud\Cloud;
use EmberDusk\Joining\Families\Hub\Hub;
use EmberDusk\Joining\Families\Mesh\Mesh;
use EmberDusk\Joining\Families\MeshRemote\MeshRemote;
use EmberDusk\Joining\Families\Receiver\Receiver;
use EmberDusk\Joining\Families\Remote\Remote;
use EmberDusk\Joining\Families\TouchLink\TouchLink;
use EmberDusk\Joining\Families\Zigbee\Zigbee;
use EmberDusk\Joining\StandIn\Device;
use EmberDusk\Joining\StandIn\Phone;
use EmberDusk\Joining\StandIn\Site;
use EmberDusk\Joining\StandIn\Trap;
use EmberDusk\Values\InvalidInput;

/** The families that can be joined here: one line each. */
final readonly class Families
{
    /** @return list<Family> */
    public static function all(): array
    {
        return [
            new Zigbee(),
            new Remote(),
            new TouchLink(),
            new Hub(),
            new Assistant(),
            new Receiver(),
            new Bridge(),
            new Bluetooth(),
            new Mesh(),
            new MeshRemote(),
            new Board(),
            new Cloud(),
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
    public static function site(Roster $roster, int $seed, array $flaws = [], array $without = []): Site
    {
        return new Site(
            roster: $roster,
            seed: $seed,
            flaws: $flaws,
            without: $without,
            make: static fn(Unit $unit, Site $site): Device => $unit->role === Unit::PHONE
                ? new Phone($unit, $site)
                : self::get($unit->family)->standIn($unit, $site),
        );
    }
}
