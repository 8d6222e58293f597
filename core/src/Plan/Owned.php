<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** Kit that the client has already: it costs nothing. The id is the shelf entry's. */
final readonly class Owned
{
    public function __construct(public string $id, public int $count) {}
}
