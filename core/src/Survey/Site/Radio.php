<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

use EmberDusk\Survey\Clause;
use EmberDusk\Survey\SlipFound;

/** An existing network: Wi-Fi at 2.4 GHz or a Zigbee hub, with its channel if known. */
final readonly class Radio
{
    public const WIFI = 'wifi';

    public const HUB = 'hub';

    /** Least and greatest channel (IEEE 802.11 at 2.4 GHz; IEEE 802.15.4). */
    public const CHANNELS = [self::WIFI => [1, 14], self::HUB => [11, 26]];

    public function __construct(public string $kind, public ?int $channel, public string $where) {}

    /**
     * Reads `6 [where]`, or `? [where]` while the channel is not known.
     *
     * @throws SlipFound
     */
    public static function read(Clause $clause, string $kind): self
    {
        $word = $clause->take();
        if ($word?->text === '?') {
            return new self($kind, null, $clause->rest());
        }
        [$least, $most] = self::CHANNELS[$kind];
        if (
            $word === null ||
            preg_match('/^\d{1,3}$/', $word->text) !== 1 ||
            (int) $word->text < $least ||
            (int) $word->text > $most
        ) {
            throw new SlipFound(
                $clause->slip(
                    $word,
                    $kind === self::WIFI
                        ? "Expected the Wi-Fi channel at 2.4 GHz, {$least} to {$most}, or ? if unknown."
                        : "Expected the hub’s Zigbee channel, {$least} to {$most}, or ? if unknown.",
                ),
            );
        }

        return new self($kind, (int) $word->text, $clause->rest());
    }
}
