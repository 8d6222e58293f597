<?php

declare(strict_types=1);

namespace EmberDusk\Advice\Options;

use EmberDusk\Formats\Fields;
use EmberDusk\Plan\Frozen;
use EmberDusk\Plan\Owned;

/** What entries cost on the shelf, a piece or a metre; what the client owns already costs nothing, as far as it goes. */
final readonly class Prices
{
    /** @param  array<string, Owned>  $owned */
    public function __construct(private array $owned)
    {
    }

    /** Null when the shelf does not say. */
    public static function of(Frozen $kit): ?float
    {
        return (new Fields($kit->written))->numberOrNull('price');
    }

    /** Of so many pieces or metres. */
    public function for(Frozen $kit, float $count): ?float
    {
        $each = self::of($kit);
        $left = max(0.0, $count - ($this->owned[$kit->entry->id()]->count ?? 0));

        return $left <= 0 ? 0.0 : ($each === null ? null : round($each * $left, 2));
    }

    public function owns(string $id): bool
    {
        return isset($this->owned[$id]);
    }
}
