<?php

declare(strict_types=1);

namespace EmberDusk\Reach;

/** Radio channels at 2.4 GHz in MHz: Zigbee k is 2405 + 5 (k - 11), 2 wide (IEEE 802.15.4); Wi-Fi n is 2412 + 5 (n - 1), 20 wide (IEEE 802.11). */
final readonly class Channels
{
    /** Half the width of a Wi-Fi channel and of a Zigbee one. */
    private const APART = 10.0 + 1.0;

    /** Zigbee channels that hubs prefer because they are between the Wi-Fi channels 1, 6 and 11 (common practice, no source). */
    private const USUAL = [15, 20, 25, 26];

    public static function zigbee(int $channel): float
    {
        return 2405.0 + 5 * ($channel - 11);
    }

    public static function wifi(int $channel): float
    {
        if ($channel === 14) {
            return 2484.0;
        }

        return 2412.0 + 5 * ($channel - 1);
    }

    public static function overlap(int $zigbee, int $wifi): bool
    {
        return abs(self::zigbee($zigbee) - self::wifi($wifi)) < self::APART;
    }

    /**
     * Zigbee channels that none of the Wi-Fi channels covers, the usual ones first.
     *
     * @param  list<int>  $wifi
     * @return list<int>
     */
    public static function free(array $wifi): array
    {
        $free = array_filter(
            range(11, 26),
            static fn(int $z): bool => array_filter($wifi, static fn(int $w): bool => self::overlap($z, $w)) === [],
        );
        usort(
            $free,
            static fn(int $a, int $b): int => [(int) !in_array($a, self::USUAL, true), $a] <=> [
                (int) !in_array($b, self::USUAL, true),
                $b,
            ],
        );

        return $free;
    }
}
