<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\TouchLink\Simulation;

use EmberDusk\Joining\Families\Remote\Simulation\SimulatedRemote;
use EmberDusk\Joining\Families\Zigbee\Simulation\SimulatedController;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\Simulation\Trap;
use EmberDusk\Joining\Unit;

/** Link request of a remote to the controllers around it: one responds, not always the intended one. */
final readonly class LinkRequest
{
    /** A network that a remote has formed begins with it, then its id. */
    public const OWN = 'own ';

    /** Distance of a remote that is held too far away, as a multiple of the distance in the instructions. */
    private const TOO_FAR = 3.0;

    /** Seconds that a link takes. Common practice, no source. */
    private const TAKES = [1.0, 3.0];

    private function __construct(private SimulatedSite $site) {}

    /**
     * Which controller takes the link, after how many seconds, in which network; null when none does.
     *
     * @param  array{string, float}  $near partner of the remote, and the distance
     */
    public static function for(SimulatedSite $site, SimulatedRemote $remote, array $near, float $at): ?TakenLink
    {
        return (new self($site))->one($remote, $near, $at);
    }

    /** @param  array{string, float}  $near partner of the remote, and the distance */
    private function one(SimulatedRemote $remote, array $near, float $at): ?TakenLink
    {
        [$held, $metres] = $near;
        $id = $remote->unit->id;
        if ($this->site->has('too-far', $id)) {
            $metres = $metres * self::TOO_FAR + 0.2;
        }
        $roster = $this->site->roster;
        $partner = $this->site->devices()[$held] ?? null;
        $brought = $partner instanceof SimulatedController && $partner->isBroughtTo($id);
        // A mounted panel stays in place: its distance is that of its position, unless the controller is brought to it.
        $fixed = $this->site->has('panel-fixed', $id) || $roster->brought($held, $id);
        if ($fixed && !$brought && $this->site->catches(Trap::Fixed)) {
            $metres = max($metres, $roster->metres($id, $held), 1.0);
        }
        $hear = [];
        foreach ($this->site->devices() as $device) {
            if (!($device instanceof SimulatedController) || !$device->isPowered()) {
                continue;
            }
            $away =
                $device->unit->id === $held
                    ? $metres
                    : $metres + $roster->metres($brought ? $id : $held, $device->unit->id);
            $reach = $this->site->catches(Trap::Distance) ? $remote->unit->leaflet->figure('near') ?? Unit::NEAR : INF;
            $second = $device->unit->id !== $held && $this->site->catches(Trap::SecondPowered);
            // Another that has power is heard farther than the instructions say, whether its window is open or not.
            if (
                $second
                    ? $away <= ($device->unit->leaflet->figure('apart') ?? 2.0)
                    : $away <= $reach + 1e-9 && $device->takesLinks($at)
            ) {
                if ($second || $device->unit->id === $held) {
                    $hear[$device->unit->id] = $device;
                }
            }
        }
        if ($hear === []) {
            return null;
        }
        $others = array_diff_key($hear, [$held => true]);
        $taken = $others === [] ? $hear[$held] : reset($others);

        return new TakenLink(
            $taken,
            $this->site->dice->between(self::TAKES[0], self::TAKES[1], "link {$id} {$held}"),
            $this->network($remote, $taken),
        );
    }

    /**
     * The remote's, if it is in one. A new remote enters the network that another remote has formed with the controller, where its instructions allow
     * several; else it forms its own, which takes the controller out of a hub's.
     */
    private function network(SimulatedRemote $remote, SimulatedController $controller): string
    {
        $own = self::OWN . $remote->unit->id;
        if ($remote->network() !== null) {
            return $remote->network();
        }
        if ($controller->admits() && !$this->site->has('took-over', $remote->unit->id)) {
            return $controller->network() ?? $own;
        }

        if ($this->site->catches(Trap::OwnNetwork)) {
            return $own;
        }

        return $controller->network() ?? $own;
    }
}
